-- Ways of working and entries of a practice's own; plans with places, lists of stations and several passes; the therapist's own hands.

ALTER TABLE plan_block
  ADD COLUMN lists JSON NULL,
  ADD COLUMN placed VARCHAR(32) NULL;

-- Never changed: a change is a new item that points at the one it takes the place of, so that old plans keep what they used.
CREATE TABLE own_item (
  id UUID NOT NULL PRIMARY KEY,
  practice_id UUID NOT NULL,
  kind ENUM('way', 'entry') NOT NULL,
  data JSON NOT NULL,
  supersedes UUID NULL,
  made_at DATETIME(3) NOT NULL,
  made_by VARCHAR(120) NOT NULL,
  retired_at DATETIME(3) NULL,
  UNIQUE KEY one_next_version (supersedes),
  KEY own_by_practice (practice_id, made_at),
  CONSTRAINT own_item_practice FOREIGN KEY (practice_id) REFERENCES practice (id),
  CONSTRAINT own_item_before FOREIGN KEY (supersedes) REFERENCES own_item (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Minutes a day of each tool; null: those the program starts with.
ALTER TABLE practice ADD COLUMN tool_limits JSON NULL;

-- Height of the knuckles of a loose fist, standing, in centimetres.
ALTER TABLE account ADD COLUMN knuckle_cm DOUBLE NULL;
