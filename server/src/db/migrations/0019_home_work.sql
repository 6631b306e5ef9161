-- What an athlete takes home from a visit, and what is answered about it at a later one.
CREATE TABLE home_sheet (
  visit_id UUID NOT NULL PRIMARY KEY,
  items JSON NOT NULL,
  until_date DATE NOT NULL,
  words VARCHAR(300) NOT NULL,
  revision INT UNSIGNED NOT NULL,
  CONSTRAINT home_sheet_visit FOREIGN KEY (visit_id) REFERENCES visit (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE home_answers (
  visit_id UUID NOT NULL PRIMARY KEY,
  sheet_of UUID NOT NULL,
  answers JSON NOT NULL,
  revision INT UNSIGNED NOT NULL,
  KEY home_answers_sheet (sheet_of),
  CONSTRAINT home_answers_visit FOREIGN KEY (visit_id) REFERENCES visit (id),
  CONSTRAINT home_answers_sheet FOREIGN KEY (sheet_of) REFERENCES home_sheet (visit_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
