-- A practice keeps sequences of its own beside its ways and entries.
ALTER TABLE own_item MODIFY kind ENUM('way', 'entry', 'protocol') NOT NULL;
