-- The season: blocks and stays laid out for everybody, for a squad, or laid over it for one athlete. The owner is the practice, the squad or
-- the athlete; each has one.
CREATE TABLE season_plan (
  owner_id UUID NOT NULL PRIMARY KEY,
  practice_id UUID NOT NULL,
  data JSON NOT NULL,
  revision INT UNSIGNED NOT NULL DEFAULT 1,
  changed_at DATETIME(3) NOT NULL,
  changed_by VARCHAR(120) NOT NULL,
  KEY season_by_practice (practice_id),
  CONSTRAINT season_practice FOREIGN KEY (practice_id) REFERENCES practice (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- An event of one athlete alone, and where one came from that was read in.
ALTER TABLE calendar_event
  ADD COLUMN athlete_id UUID NULL,
  ADD COLUMN source_key VARCHAR(120) NULL,
  ADD UNIQUE KEY event_source (practice_id, source_key),
  ADD CONSTRAINT event_athlete FOREIGN KEY (athlete_id) REFERENCES athlete (id);

-- Who is not at an event of theirs.
CREATE TABLE event_not_at (
  athlete_id UUID NOT NULL,
  event_id UUID NOT NULL,
  PRIMARY KEY (athlete_id, event_id),
  KEY not_at_by_event (event_id),
  CONSTRAINT not_at_athlete FOREIGN KEY (athlete_id) REFERENCES athlete (id),
  CONSTRAINT not_at_event FOREIGN KEY (event_id) REFERENCES calendar_event (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What a goal is for.
ALTER TABLE athlete_goal
  ADD COLUMN why ENUM('demand', 'symmetry', 'wish') NULL,
  ADD COLUMN why_words VARCHAR(250) NOT NULL DEFAULT '';

-- What therapy does in a phase, where the practice has it its own way.
ALTER TABLE practice ADD COLUMN phases JSON NOT NULL DEFAULT '[]';

-- A calendar that other programs subscribe to. Only a hash of its token is kept.
CREATE TABLE calendar_link (
  id UUID NOT NULL PRIMARY KEY,
  token_hash CHAR(64) NOT NULL,
  practice_id UUID NOT NULL,
  kind ENUM('practice', 'squad', 'athlete') NOT NULL,
  squad_id UUID NULL,
  athlete_id UUID NULL,
  made_at DATETIME(3) NOT NULL,
  made_by VARCHAR(120) NOT NULL,
  revoked_at DATETIME(3) NULL,
  UNIQUE KEY calendar_token (token_hash),
  KEY calendar_by_practice (practice_id),
  CONSTRAINT calendar_practice FOREIGN KEY (practice_id) REFERENCES practice (id),
  CONSTRAINT calendar_squad FOREIGN KEY (squad_id) REFERENCES squad (id),
  CONSTRAINT calendar_athlete FOREIGN KEY (athlete_id) REFERENCES athlete (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
