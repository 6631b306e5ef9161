-- Measuring with the error known: who read a value, what hands and eyes found, studies of the error, goals.

ALTER TABLE rom_reading
  ADD COLUMN examiner_id UUID NULL,
  ADD KEY reading_by_examiner (examiner_id, motion_id, instrument),
  ADD CONSTRAINT reading_examiner FOREIGN KEY (examiner_id) REFERENCES account (id);

-- As with readings: never changed, a correction points at what it corrects, and each thing found at a visit has one first row.
CREATE TABLE finding (
  id UUID NOT NULL PRIMARY KEY,
  visit_id UUID NOT NULL,
  kind ENUM('end', 'clock', 'glide', 'leg-length', 'press', 'force') NOT NULL,
  subject VARCHAR(64) NOT NULL,
  side ENUM('left', 'right', 'midline') NOT NULL,
  moment ENUM('before', 'after') NOT NULL,
  data JSON NULL,
  found_at DATETIME(3) NOT NULL,
  found_by VARCHAR(120) NOT NULL,
  supersedes UUID NULL,
  root_key VARCHAR(160) AS (IF(supersedes IS NULL, CONCAT(visit_id, '/', kind, '/', subject, '/', side, '/', moment), NULL)) PERSISTENT,
  UNIQUE KEY one_finding_correction (supersedes),
  UNIQUE KEY one_finding_root (root_key),
  KEY finding_by_visit (visit_id, found_at),
  CONSTRAINT finding_visit FOREIGN KEY (visit_id) REFERENCES visit (id),
  CONSTRAINT finding_corrects FOREIGN KEY (supersedes) REFERENCES finding (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE error_study (
  id UUID NOT NULL PRIMARY KEY,
  practice_id UUID NOT NULL,
  kind ENUM('repeatability', 'agreement') NOT NULL,
  motion_id VARCHAR(64) NOT NULL,
  instruments JSON NOT NULL,
  examiner_ids JSON NOT NULL,
  spacing ENUM('one-day', 'days-apart') NOT NULL,
  trials TINYINT UNSIGNED NOT NULL,
  subjects JSON NOT NULL,
  taken JSON NOT NULL,
  used BOOLEAN NOT NULL DEFAULT FALSE,
  started_at DATETIME(3) NOT NULL,
  started_by VARCHAR(120) NOT NULL,
  finished_at DATETIME(3) NULL,
  revision INT UNSIGNED NOT NULL DEFAULT 1,
  KEY study_by_practice (practice_id, started_at),
  CONSTRAINT study_practice FOREIGN KEY (practice_id) REFERENCES practice (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- One goal stands for each motion and side; an older one is withdrawn when a new one is set.
CREATE TABLE athlete_goal (
  id UUID NOT NULL PRIMARY KEY,
  athlete_id UUID NOT NULL,
  motion_id VARCHAR(64) NOT NULL,
  side ENUM('left', 'right', 'midline') NOT NULL,
  value DOUBLE NOT NULL,
  by_date DATE NULL,
  set_at DATETIME(3) NOT NULL,
  withdrawn_at DATETIME(3) NULL,
  KEY goal_by_athlete (athlete_id, withdrawn_at),
  CONSTRAINT goal_athlete FOREIGN KEY (athlete_id) REFERENCES athlete (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
