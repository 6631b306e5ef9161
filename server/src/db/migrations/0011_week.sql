-- The therapist's week: when a practice sees people, who leads a visit, and when somebody can come.
ALTER TABLE practice
  ADD COLUMN week_hours JSON NULL,
  ADD COLUMN week_hours_revision INT UNSIGNED NOT NULL DEFAULT 0;

-- Null: whoever is there.
ALTER TABLE visit
  ADD COLUMN therapist_id UUID NULL,
  ADD CONSTRAINT visit_therapist FOREIGN KEY (therapist_id) REFERENCES account (id);

CREATE TABLE athlete_times (
  athlete_id UUID NOT NULL PRIMARY KEY,
  data JSON NOT NULL,
  revision INT UNSIGNED NOT NULL DEFAULT 1,
  CONSTRAINT times_athlete FOREIGN KEY (athlete_id) REFERENCES athlete (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- A comparison of two ways on one athlete: the order of its visits was drawn when it was planned, and is shown visit by visit.
CREATE TABLE way_comparison (
  id UUID NOT NULL PRIMARY KEY,
  athlete_id UUID NOT NULL,
  motion_id VARCHAR(60) NOT NULL,
  side ENUM('left', 'right', 'midline') NOT NULL,
  entry_id VARCHAR(60) NOT NULL,
  way_a VARCHAR(60) NOT NULL,
  way_b VARCHAR(60) NOT NULL,
  -- One letter a visit, a or b.
  drawn VARCHAR(40) NOT NULL,
  started_on DATE NOT NULL,
  ended_on DATE NULL,
  made_by VARCHAR(120) NOT NULL,
  revision INT UNSIGNED NOT NULL DEFAULT 1,
  KEY comparison_by_athlete (athlete_id, started_on),
  CONSTRAINT comparison_athlete FOREIGN KEY (athlete_id) REFERENCES athlete (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
