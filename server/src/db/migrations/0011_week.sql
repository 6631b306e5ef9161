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
