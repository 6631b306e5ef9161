-- How long things are kept, who was erased, what the law keeps of them, and which backups were made.
ALTER TABLE practice ADD COLUMN keeping JSON NULL, ADD COLUMN keeping_revision INT UNSIGNED NOT NULL DEFAULT 0;
-- Of whom: an id and no name. A record that is read in again takes its row away.
CREATE TABLE erased (
  athlete_id UUID NOT NULL PRIMARY KEY,
  practice_id UUID NOT NULL,
  erased_at DATETIME(3) NOT NULL,
  erased_by VARCHAR(120) NOT NULL,
  copy ENUM('handed over', 'not wanted') NOT NULL,
  KEY erased_by_practice (practice_id, erased_at),
  CONSTRAINT erased_practice FOREIGN KEY (practice_id) REFERENCES practice (id)
) ENGINE = InnoDB;
-- The part of an erased record that has to stay until a day, as an archive.
CREATE TABLE kept_record (
  id UUID NOT NULL PRIMARY KEY,
  athlete_id UUID NOT NULL,
  practice_id UUID NOT NULL,
  erased_at DATETIME(3) NOT NULL,
  erased_by VARCHAR(120) NOT NULL,
  keep_until DATE NOT NULL,
  reason VARCHAR(300) NOT NULL,
  kinds JSON NOT NULL,
  data JSON NOT NULL,
  KEY kept_record_by_practice (practice_id, keep_until),
  CONSTRAINT kept_record_practice FOREIGN KEY (practice_id) REFERENCES practice (id)
) ENGINE = InnoDB;
-- Backups that were made of this database, and the day from which each may go.
CREATE TABLE backup_made (
  name VARCHAR(80) NOT NULL PRIMARY KEY,
  made_at DATETIME(3) NOT NULL,
  goes_on DATE NULL,
  dropped_at DATETIME(3) NULL
) ENGINE = InnoDB;
