-- The first slice: who comes, when, what was measured, planned, done and written.
-- Ids are UUIDs made by the client. Instants are UTC.

CREATE TABLE practice (
  id UUID NOT NULL PRIMARY KEY,
  name VARCHAR(120) NOT NULL,
  time_zone VARCHAR(64) NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE athlete (
  id UUID NOT NULL PRIMARY KEY,
  practice_id UUID NOT NULL,
  name VARCHAR(120) NOT NULL,
  birth_date DATE NOT NULL,
  reference_sex ENUM('female', 'male', 'none') NOT NULL,
  rowing ENUM('stroke', 'bow', 'sculls', 'cox', 'none') NOT NULL,
  about VARCHAR(300) NOT NULL DEFAULT '',
  breath_period_ms INT UNSIGNED NOT NULL,
  revision INT UNSIGNED NOT NULL DEFAULT 1,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY athlete_by_name (practice_id, name),
  CONSTRAINT athlete_practice FOREIGN KEY (practice_id) REFERENCES practice (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE calendar_event (
  id UUID NOT NULL PRIMARY KEY,
  practice_id UUID NOT NULL,
  name VARCHAR(120) NOT NULL,
  on_date DATE NOT NULL,
  importance TINYINT UNSIGNED NOT NULL,
  KEY event_by_date (practice_id, on_date),
  CONSTRAINT event_practice FOREIGN KEY (practice_id) REFERENCES practice (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE visit (
  id UUID NOT NULL PRIMARY KEY,
  athlete_id UUID NOT NULL,
  starts_at DATETIME(3) NOT NULL,
  minutes SMALLINT UNSIGNED NOT NULL,
  minutes_available SMALLINT UNSIGNED NOT NULL,
  step ENUM('arrive', 'measure', 'plan', 'table', 'close') NOT NULL DEFAULT 'arrive',
  complaint VARCHAR(1000) NOT NULL DEFAULT '',
  finished_at DATETIME(3) NULL,
  revision INT UNSIGNED NOT NULL DEFAULT 1,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY visit_by_time (starts_at),
  KEY visit_by_athlete (athlete_id, starts_at),
  CONSTRAINT visit_athlete FOREIGN KEY (athlete_id) REFERENCES athlete (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- A reading is never changed. A correction is a new row that points at the old one; each row is corrected
-- at most once, and a motion, side and moment of a visit has one first row (root_key), so two tabs cannot fork it.
CREATE TABLE rom_reading (
  id UUID NOT NULL PRIMARY KEY,
  visit_id UUID NOT NULL,
  motion_id VARCHAR(64) NOT NULL,
  side ENUM('left', 'right', 'midline') NOT NULL,
  moment ENUM('before', 'after') NOT NULL,
  mode ENUM('passive', 'active') NOT NULL,
  instrument ENUM('goniometer', 'inclinometer', 'tape') NOT NULL,
  trials JSON NOT NULL,
  value DOUBLE NULL,
  taken_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  supersedes UUID NULL,
  root_key VARCHAR(160) AS (IF(supersedes IS NULL, CONCAT(visit_id, '/', motion_id, '/', side, '/', moment), NULL)) PERSISTENT,
  UNIQUE KEY one_correction (supersedes),
  UNIQUE KEY one_root (root_key),
  KEY reading_by_visit (visit_id, taken_at),
  CONSTRAINT reading_visit FOREIGN KEY (visit_id) REFERENCES visit (id),
  CONSTRAINT reading_corrects FOREIGN KEY (supersedes) REFERENCES rom_reading (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE plan (
  visit_id UUID NOT NULL PRIMARY KEY,
  revision INT UNSIGNED NOT NULL,
  updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  CONSTRAINT plan_visit FOREIGN KEY (visit_id) REFERENCES visit (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE plan_block (
  id UUID NOT NULL,
  visit_id UUID NOT NULL,
  position SMALLINT UNSIGNED NOT NULL,
  entry_id VARCHAR(64) NOT NULL,
  method_id VARCHAR(64) NOT NULL,
  numbers JSON NOT NULL,
  choices JSON NOT NULL,
  sides JSON NOT NULL,
  PRIMARY KEY (visit_id, position),
  UNIQUE KEY block_once (visit_id, id),
  CONSTRAINT block_plan FOREIGN KEY (visit_id) REFERENCES plan (visit_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- A run keeps the line it was compiled to, so that old visits keep the numbers they used.
CREATE TABLE run (
  id UUID NOT NULL PRIMARY KEY,
  visit_id UUID NOT NULL,
  input JSON NOT NULL,
  line JSON NOT NULL,
  clock_rate DOUBLE NOT NULL,
  started_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY run_by_visit (visit_id, started_at),
  CONSTRAINT run_visit FOREIGN KEY (visit_id) REFERENCES visit (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Append-only. The primary key makes a place in the sequence unique; the id makes a retry harmless.
CREATE TABLE run_event (
  run_id UUID NOT NULL,
  seq INT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  at_ms INT UNSIGNED NOT NULL,
  kind VARCHAR(16) NOT NULL,
  data JSON NOT NULL,
  received_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (run_id, seq),
  UNIQUE KEY event_once (id),
  CONSTRAINT run_event_run FOREIGN KEY (run_id) REFERENCES run (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE note (
  visit_id UUID NOT NULL PRIMARY KEY,
  text TEXT NOT NULL,
  revision INT UNSIGNED NOT NULL,
  updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  CONSTRAINT note_visit FOREIGN KEY (visit_id) REFERENCES visit (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
