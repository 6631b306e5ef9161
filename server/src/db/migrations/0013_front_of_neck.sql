-- Whether hands press at the front of the neck at all: the practice decides once, and until then they do not.
ALTER TABLE practice ADD COLUMN front_of_neck BOOLEAN NOT NULL DEFAULT FALSE AFTER scope_by_region;
