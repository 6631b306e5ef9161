-- What the owner set aside of the first steps; what is done is seen from the data.
ALTER TABLE practice ADD COLUMN first_steps JSON NOT NULL DEFAULT '{"skipped":[],"left":false}';
-- A practice that works already is not led in anew.
UPDATE practice p SET first_steps = '{"skipped":[],"left":true}' WHERE EXISTS (SELECT 1 FROM account c WHERE c.practice_id = p.id);
-- Athletes, squads and events that are there to look around with, and go in one go.
ALTER TABLE athlete ADD COLUMN sample BOOLEAN NOT NULL DEFAULT FALSE;
ALTER TABLE squad ADD COLUMN sample BOOLEAN NOT NULL DEFAULT FALSE;
ALTER TABLE calendar_event ADD COLUMN sample BOOLEAN NOT NULL DEFAULT FALSE;
