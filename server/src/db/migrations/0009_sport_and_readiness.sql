-- Sport is data: what an athlete does is a list of sports with what each offers, not a column for one of them. What the old columns said
-- is kept: a boat side is a role of rowing, a sport that is known by its name is that sport, anything else stays in words.
ALTER TABLE athlete ADD COLUMN sports JSON NOT NULL DEFAULT '[]';

UPDATE athlete SET sports = CASE
  WHEN rowing <> 'none' THEN JSON_ARRAY(JSON_OBJECT(
    'sportId', 'rowing',
    'discipline', CASE rowing WHEN 'sculls' THEN 'sculls' WHEN 'cox' THEN NULL ELSE 'sweep' END,
    'role', CASE rowing WHEN 'stroke' THEN 'stroke-side' WHEN 'bow' THEN 'bow-side' WHEN 'sculls' THEN 'sculler' ELSE 'cox' END,
    'leading', NULL,
    'words', TRIM(BOTH ', ' FROM CONCAT(IF(LOWER(TRIM(sport)) IN ('', 'row', 'rowing', 'rower', 'sculling'), '', TRIM(sport)), ', ', TRIM(role)))
  ))
  WHEN TRIM(sport) = '' AND TRIM(role) = '' THEN '[]'
  ELSE JSON_ARRAY(JSON_OBJECT(
    'sportId', CASE
      WHEN LOWER(TRIM(sport)) IN ('row', 'rowing', 'rower', 'sculling') THEN 'rowing'
      WHEN LOWER(TRIM(sport)) IN ('run', 'running', 'runner', 'jogging', 'marathon', 'sprint', 'trail', 'trail running') THEN 'running'
      WHEN LOWER(TRIM(sport)) IN ('swim', 'swimming', 'swimmer') THEN 'swimming'
      WHEN LOWER(TRIM(sport)) IN ('cycling', 'bike', 'cyclist') THEN 'cycling'
      WHEN LOWER(TRIM(sport)) IN ('triathlon', 'triathlete') THEN 'triathlon'
      WHEN LOWER(TRIM(sport)) IN ('throwing', 'thrower', 'javelin', 'baseball', 'cricket') THEN 'throwing'
      WHEN LOWER(TRIM(sport)) IN ('tennis', 'badminton', 'squash', 'padel') THEN 'racket'
      WHEN LOWER(TRIM(sport)) IN ('handball', 'volleyball', 'basketball') THEN 'hand-ball-games'
      WHEN LOWER(TRIM(sport)) IN ('football', 'soccer', 'rugby', 'hockey') THEN 'field-games'
      WHEN LOWER(TRIM(sport)) IN ('boxing', 'judo', 'wrestling', 'karate', 'fencing') THEN 'combat'
      WHEN LOWER(TRIM(sport)) IN ('weightlifting', 'powerlifting', 'lifting') THEN 'lifting'
      WHEN LOWER(TRIM(sport)) IN ('gymnastics', 'gymnast') THEN 'gymnastics'
      WHEN LOWER(TRIM(sport)) IN ('dance', 'ballet', 'dancer') THEN 'dance'
      WHEN LOWER(TRIM(sport)) IN ('climbing', 'climber', 'bouldering') THEN 'climbing'
      WHEN LOWER(TRIM(sport)) IN ('skating', 'skiing', 'ice hockey') THEN 'snow-and-ice'
      ELSE 'other' END,
    'discipline', NULL,
    'role', NULL,
    'leading', NULL,
    'words', TRIM(BOTH ', ' FROM CONCAT(TRIM(sport), ', ', TRIM(role)))
  ))
END;

ALTER TABLE athlete DROP COLUMN rowing, DROP COLUMN sport, DROP COLUMN role;

-- Which sports a practice serves (none named: all), how it asks in the morning, and which column of a load table is what.
ALTER TABLE practice
  ADD COLUMN sports_served JSON NOT NULL DEFAULT '[]',
  ADD COLUMN check_in_scale ENUM('four-items', 'five-items') NOT NULL DEFAULT 'four-items',
  ADD COLUMN load_columns JSON NULL;

CREATE TABLE own_sport (
  id UUID NOT NULL PRIMARY KEY,
  practice_id UUID NOT NULL,
  data JSON NOT NULL,
  revision INT UNSIGNED NOT NULL DEFAULT 1,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY own_sport_by_practice (practice_id, created_at),
  CONSTRAINT own_sport_practice FOREIGN KEY (practice_id) REFERENCES practice (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What somebody answered on a day, as it was sent. None is changed; a correction names the one it stands for. Missing is NULL.
CREATE TABLE check_in (
  id UUID NOT NULL PRIMARY KEY,
  athlete_id UUID NOT NULL,
  on_date DATE NOT NULL,
  scale ENUM('four-items', 'five-items') NOT NULL,
  answers JSON NOT NULL,
  hours_slept DOUBLE NULL,
  sore JSON NULL,
  ill BOOLEAN NULL,
  injured BOOLEAN NULL,
  travelled BOOLEAN NULL,
  training ENUM('full', 'part', 'none') NULL,
  rmssd_ms DOUBLE NULL,
  entered_at DATETIME(3) NOT NULL,
  entered_by VARCHAR(120) NOT NULL,
  supersedes UUID NULL,
  UNIQUE KEY check_in_corrected (supersedes),
  KEY check_in_by_day (athlete_id, on_date),
  CONSTRAINT check_in_athlete FOREIGN KEY (athlete_id) REFERENCES athlete (id),
  CONSTRAINT check_in_supersedes FOREIGN KEY (supersedes) REFERENCES check_in (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- One session of training, done or planned. `source_key` recognises one that came from a file before.
CREATE TABLE training_load (
  id UUID NOT NULL PRIMARY KEY,
  athlete_id UUID NOT NULL,
  on_date DATE NOT NULL,
  kind VARCHAR(60) NOT NULL,
  minutes SMALLINT UNSIGNED NOT NULL,
  exertion DOUBLE NULL,
  amount DOUBLE NULL,
  asked_after_min SMALLINT UNSIGNED NULL,
  planned BOOLEAN NOT NULL DEFAULT FALSE,
  entered_at DATETIME(3) NOT NULL,
  entered_by VARCHAR(120) NOT NULL,
  source_key VARCHAR(120) NULL,
  withdrawn_at DATETIME(3) NULL,
  revision INT UNSIGNED NOT NULL DEFAULT 1,
  UNIQUE KEY load_source (athlete_id, source_key),
  KEY load_by_day (athlete_id, on_date),
  CONSTRAINT load_athlete FOREIGN KEY (athlete_id) REFERENCES athlete (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- A page that may send check-ins and nothing else: of one athlete for one day, or of a squad's tablet. Only a hash of its token is kept.
CREATE TABLE check_in_link (
  id UUID NOT NULL PRIMARY KEY,
  token_hash CHAR(64) NOT NULL,
  practice_id UUID NOT NULL,
  athlete_id UUID NULL,
  squad_id UUID NULL,
  from_date DATE NOT NULL,
  until_date DATE NOT NULL,
  made_at DATETIME(3) NOT NULL,
  made_by VARCHAR(120) NOT NULL,
  revoked_at DATETIME(3) NULL,
  UNIQUE KEY link_token (token_hash),
  KEY link_by_practice (practice_id, until_date),
  KEY link_by_athlete (athlete_id),
  CONSTRAINT link_practice FOREIGN KEY (practice_id) REFERENCES practice (id),
  CONSTRAINT link_athlete FOREIGN KEY (athlete_id) REFERENCES athlete (id),
  CONSTRAINT link_squad FOREIGN KEY (squad_id) REFERENCES squad (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- A limit of today that was set aside, with the word why; never changed.
CREATE TABLE readiness_aside (
  id UUID NOT NULL PRIMARY KEY,
  visit_id UUID NOT NULL,
  limit_id VARCHAR(80) NOT NULL,
  reason VARCHAR(300) NOT NULL,
  made_at DATETIME(3) NOT NULL,
  made_by VARCHAR(120) NOT NULL,
  KEY aside_by_visit (visit_id, made_at),
  CONSTRAINT aside_visit FOREIGN KEY (visit_id) REFERENCES visit (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What was known of the day when the answers were taken in, and how the session went.
CREATE TABLE readiness_kept (
  visit_id UUID NOT NULL PRIMARY KEY,
  word ENUM('ready', 'ease', 'hold', 'not known') NOT NULL,
  reasons JSON NOT NULL,
  limits JSON NOT NULL,
  accepted_at DATETIME(3) NOT NULL,
  accepted_by VARCHAR(120) NOT NULL,
  outcome ENUM('as-planned', 'lighter', 'more', 'stopped') NULL,
  CONSTRAINT kept_visit FOREIGN KEY (visit_id) REFERENCES visit (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
