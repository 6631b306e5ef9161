-- Who may see what, what has to be known before hands go on, and how the day moves.

ALTER TABLE practice
  ADD COLUMN mobilization_grade TINYINT UNSIGNED NOT NULL DEFAULT 0,
  ADD COLUMN scope_by_region JSON NOT NULL DEFAULT '{}',
  ADD COLUMN scope_rule_text VARCHAR(1000) NOT NULL DEFAULT '',
  ADD COLUMN scope_rule_link VARCHAR(500) NOT NULL DEFAULT '',
  ADD COLUMN revision INT UNSIGNED NOT NULL DEFAULT 1;

ALTER TABLE athlete
  ADD COLUMN sport VARCHAR(120) NOT NULL DEFAULT '',
  ADD COLUMN role VARCHAR(120) NOT NULL DEFAULT '',
  ADD COLUMN hand ENUM('left', 'right', 'both', 'unknown') NOT NULL DEFAULT 'unknown',
  ADD COLUMN foot ENUM('left', 'right', 'both', 'unknown') NOT NULL DEFAULT 'unknown',
  ADD COLUMN thigh_cm DOUBLE NULL,
  ADD COLUMN leg_cm DOUBLE NULL,
  ADD COLUMN arm_cm DOUBLE NULL,
  ADD COLUMN forearm_cm DOUBLE NULL,
  ADD COLUMN build VARCHAR(1000) NOT NULL DEFAULT '',
  ADD COLUMN preferences VARCHAR(1000) NOT NULL DEFAULT '',
  ADD COLUMN coach VARCHAR(120) NOT NULL DEFAULT '',
  ADD COLUMN contacts JSON NOT NULL DEFAULT '[]',
  ADD COLUMN medications JSON NOT NULL DEFAULT '[]',
  ADD COLUMN beighton JSON NULL,
  ADD COLUMN availability ENUM('full', 'limited', 'out') NOT NULL DEFAULT 'full',
  ADD COLUMN available_until DATE NULL;

-- A condition is changed in place with a revision; one entered by mistake is withdrawn and stays in the record.
CREATE TABLE athlete_condition (
  id UUID NOT NULL PRIMARY KEY,
  athlete_id UUID NOT NULL,
  code VARCHAR(40) NOT NULL,
  region VARCHAR(24) NULL,
  side ENUM('left', 'right', 'both') NULL,
  onset DATE NULL,
  surgery_on DATE NULL,
  words VARCHAR(1000) NOT NULL DEFAULT '',
  clearance JSON NULL,
  resolved_on DATE NULL,
  withdrawn_at DATETIME(3) NULL,
  revision INT UNSIGNED NOT NULL DEFAULT 1,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY condition_by_athlete (athlete_id, created_at),
  CONSTRAINT condition_athlete FOREIGN KEY (athlete_id) REFERENCES athlete (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE no_touch_area (
  id UUID NOT NULL PRIMARY KEY,
  athlete_id UUID NOT NULL,
  region VARCHAR(24) NOT NULL,
  side ENUM('left', 'right', 'both') NULL,
  words VARCHAR(300) NOT NULL DEFAULT '',
  since DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  lifted_at DATETIME(3) NULL,
  KEY no_touch_by_athlete (athlete_id, since),
  CONSTRAINT no_touch_athlete FOREIGN KEY (athlete_id) REFERENCES athlete (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE squad (
  id UUID NOT NULL PRIMARY KEY,
  practice_id UUID NOT NULL,
  name VARCHAR(80) NOT NULL,
  UNIQUE KEY squad_name (practice_id, name),
  CONSTRAINT squad_practice FOREIGN KEY (practice_id) REFERENCES practice (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE squad_member (
  squad_id UUID NOT NULL,
  athlete_id UUID NOT NULL,
  PRIMARY KEY (squad_id, athlete_id),
  KEY member_by_athlete (athlete_id),
  CONSTRAINT member_squad FOREIGN KEY (squad_id) REFERENCES squad (id),
  CONSTRAINT member_athlete FOREIGN KEY (athlete_id) REFERENCES athlete (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE account (
  id UUID NOT NULL PRIMARY KEY,
  practice_id UUID NOT NULL,
  name VARCHAR(120) NOT NULL,
  login VARCHAR(40) NOT NULL,
  role ENUM('owner', 'therapist', 'assistant', 'coach') NOT NULL,
  active BOOLEAN NOT NULL DEFAULT TRUE,
  password_hash VARCHAR(255) NOT NULL,
  -- Shown on the sign-in page; only the demo's accounts have one, until they change it.
  demo_password VARCHAR(80) NULL,
  revision INT UNSIGNED NOT NULL DEFAULT 1,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  UNIQUE KEY account_login (login),
  KEY account_by_practice (practice_id, created_at),
  CONSTRAINT account_practice FOREIGN KEY (practice_id) REFERENCES practice (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE coach_squad (
  account_id UUID NOT NULL,
  squad_id UUID NOT NULL,
  PRIMARY KEY (account_id, squad_id),
  KEY coach_by_squad (squad_id),
  CONSTRAINT coach_account FOREIGN KEY (account_id) REFERENCES account (id),
  CONSTRAINT coach_squad_squad FOREIGN KEY (squad_id) REFERENCES squad (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Who is signed in. Only a hash of the token is kept.
CREATE TABLE sign_in (
  token_hash CHAR(64) NOT NULL PRIMARY KEY,
  account_id UUID NOT NULL,
  created_at DATETIME(3) NOT NULL,
  last_seen_at DATETIME(3) NOT NULL,
  KEY sign_in_by_account (account_id),
  CONSTRAINT sign_in_account FOREIGN KEY (account_id) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Browsers from which an account has signed in before: their attempts are counted apart from a stranger's.
CREATE TABLE known_device (
  device_hash CHAR(64) NOT NULL,
  account_id UUID NOT NULL,
  created_at DATETIME(3) NOT NULL,
  PRIMARY KEY (device_hash, account_id),
  KEY device_by_account (account_id),
  CONSTRAINT device_account FOREIGN KEY (account_id) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE sign_in_attempt (
  bucket CHAR(64) NOT NULL PRIMARY KEY,
  failures INT UNSIGNED NOT NULL,
  last_at DATETIME(3) NOT NULL
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

ALTER TABLE visit
  ADD COLUMN cancelled_at DATETIME(3) NULL,
  ADD COLUMN complaint_region VARCHAR(24) NULL,
  ADD COLUMN complaint_side ENUM('left', 'right', 'both') NULL,
  ADD COLUMN complaint_score TINYINT UNSIGNED NULL,
  ADD COLUMN changed VARCHAR(1000) NOT NULL DEFAULT '',
  ADD COLUMN training_since VARCHAR(300) NOT NULL DEFAULT '',
  ADD COLUMN training_next VARCHAR(300) NOT NULL DEFAULT '',
  ADD COLUMN consent JSON NULL,
  ADD COLUMN look_first VARCHAR(300) NOT NULL DEFAULT '',
  ADD KEY visit_finished (athlete_id, finished_at),
  ADD KEY visit_open (finished_at, starts_at);

-- Answers to the stop-and-refer questions; a later row stands, none is changed.
CREATE TABLE stop_answers (
  id UUID NOT NULL PRIMARY KEY,
  visit_id UUID NOT NULL,
  answers JSON NOT NULL,
  answered_at DATETIME(3) NOT NULL,
  answered_by VARCHAR(120) NOT NULL,
  KEY answers_by_visit (visit_id, answered_at),
  CONSTRAINT answers_visit FOREIGN KEY (visit_id) REFERENCES visit (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- An "avoid" that was set aside, with the reason; never changed.
CREATE TABLE caution_override (
  id UUID NOT NULL PRIMARY KEY,
  visit_id UUID NOT NULL,
  rule_id VARCHAR(80) NOT NULL,
  motion_id VARCHAR(64) NOT NULL,
  side ENUM('left', 'right', 'midline') NOT NULL,
  reason VARCHAR(1000) NOT NULL,
  made_at DATETIME(3) NOT NULL,
  made_by VARCHAR(120) NOT NULL,
  KEY override_by_visit (visit_id, made_at),
  CONSTRAINT override_visit FOREIGN KEY (visit_id) REFERENCES visit (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE referral (
  visit_id UUID NOT NULL PRIMARY KEY,
  referred_to VARCHAR(300) NOT NULL,
  seen TEXT NOT NULL,
  written_at DATETIME(3) NOT NULL,
  written_by VARCHAR(120) NOT NULL,
  revision INT UNSIGNED NOT NULL,
  CONSTRAINT referral_visit FOREIGN KEY (visit_id) REFERENCES visit (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

ALTER TABLE plan_block ADD COLUMN limits JSON NULL;

-- Who read or changed whose file. Holds ids and what was done, no content; outlives the file itself.
CREATE TABLE audit (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  practice_id UUID NOT NULL,
  at DATETIME(3) NOT NULL,
  account_id UUID NOT NULL,
  account_name VARCHAR(120) NOT NULL,
  what VARCHAR(60) NOT NULL,
  athlete_id UUID NULL,
  KEY audit_by_practice (practice_id, id),
  KEY audit_by_athlete (athlete_id, id),
  CONSTRAINT audit_practice FOREIGN KEY (practice_id) REFERENCES practice (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TRIGGER audit_not_changed BEFORE UPDATE ON audit FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'The audit is only added to.';

CREATE TRIGGER audit_not_deleted BEFORE DELETE ON audit FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'The audit is only added to.';
