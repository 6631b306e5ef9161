-- Sentences of a note that were changed by hand, its signature, what was added afterwards, and the practice's own order and headings.
ALTER TABLE note ADD COLUMN edits JSON NOT NULL DEFAULT '{}';

-- One signature a visit: from then on the note stands as it was signed.
CREATE TABLE note_signature (
  visit_id UUID NOT NULL PRIMARY KEY,
  text MEDIUMTEXT NOT NULL,
  signed_at DATETIME(3) NOT NULL,
  signed_by VARCHAR(120) NOT NULL,
  account_id UUID NULL,
  CONSTRAINT note_signature_visit FOREIGN KEY (visit_id) REFERENCES visit (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE note_addendum (
  id UUID NOT NULL PRIMARY KEY,
  visit_id UUID NOT NULL,
  text TEXT NOT NULL,
  written_at DATETIME(3) NOT NULL,
  written_by VARCHAR(120) NOT NULL,
  KEY note_addendum_visit (visit_id, written_at),
  CONSTRAINT note_addendum_signature FOREIGN KEY (visit_id) REFERENCES note_signature (visit_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

ALTER TABLE practice ADD COLUMN note_layout JSON NULL;
