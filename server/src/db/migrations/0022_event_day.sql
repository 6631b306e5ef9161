-- A day at an event: what was set up of it, and what happened on it, which is only ever added to.
CREATE TABLE event_day (
  id UUID NOT NULL PRIMARY KEY,
  practice_id UUID NOT NULL,
  on_date DATE NOT NULL,
  title VARCHAR(120) NOT NULL,
  data JSON NOT NULL,
  revision INT NOT NULL DEFAULT 1,
  changed_at DATETIME(3) NOT NULL,
  changed_by VARCHAR(120) NOT NULL,
  KEY event_day_by_practice (practice_id, on_date),
  CONSTRAINT event_day_practice FOREIGN KEY (practice_id) REFERENCES practice (id)
) ENGINE = InnoDB;
CREATE TABLE event_day_event (
  arrived BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY,
  id UUID NOT NULL,
  event_day_id UUID NOT NULL,
  happened_at DATETIME(3) NOT NULL,
  by_name VARCHAR(120) NOT NULL,
  after_id UUID NULL,
  data JSON NOT NULL,
  UNIQUE KEY event_day_event_once (id),
  KEY event_day_event_by_day (event_day_id, arrived),
  CONSTRAINT event_day_event_day FOREIGN KEY (event_day_id) REFERENCES event_day (id)
) ENGINE = InnoDB;
-- A visit that was work at an event: of which day, and which wish it answered.
ALTER TABLE visit ADD COLUMN event_day_id UUID NULL, ADD COLUMN event_wish_id UUID NULL, ADD UNIQUE KEY visit_of_event_wish (event_day_id, event_wish_id), ADD CONSTRAINT visit_event_day FOREIGN KEY (event_day_id) REFERENCES event_day (id);
