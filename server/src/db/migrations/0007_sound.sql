-- Muscle and grade of an injury, the day the history was taken, what was not asked and why, and what exactly a reason sets aside.

ALTER TABLE athlete_condition
  ADD COLUMN muscle VARCHAR(24) NULL,
  ADD COLUMN grade TINYINT UNSIGNED NULL;

ALTER TABLE athlete ADD COLUMN history_on DATE NULL;

-- Somebody entered a condition: so somebody asked.
UPDATE athlete a SET a.history_on = (SELECT DATE(MIN(c.created_at)) FROM athlete_condition c WHERE c.athlete_id = a.id) WHERE a.history_on IS NULL;

ALTER TABLE stop_answers ADD COLUMN not_asked VARCHAR(300) NULL;

ALTER TABLE visit ADD COLUMN consent_word VARCHAR(300) NOT NULL DEFAULT '';

-- Reasons from before named a rule only; they stay in the record and set nothing aside any more.
ALTER TABLE caution_override ADD COLUMN ground VARCHAR(200) NOT NULL DEFAULT '';

-- Until now the side of a block was the side its motion is read on. From now on it is the side that is worked on. Where the two are
-- opposite (the head bends left while the right side is worked on) left and right change places, so that a block means what it meant.
-- Lines of runs keep their own version and are not touched.
UPDATE plan_block b
  LEFT JOIN own_item o ON CAST(o.id AS CHAR) = b.entry_id
SET b.sides = REPLACE(REPLACE(REPLACE(b.sides, '"left"', '"@"'), '"right"', '"left"'), '"@"', '"right"'),
    b.limits = REPLACE(REPLACE(REPLACE(b.limits, '"left"', '"@"'), '"right"', '"left"'), '"@"', '"right"')
WHERE COALESCE(JSON_VALUE(o.data, '$.drawnAs'), b.entry_id) IN (
  'neck-side-bend-supine', 'neck-side-bend-seated', 'neck-side-bend-antagonist', 'scalene-pin-move', 'neck-pin-turn-seated', 'upper-trap-side-lying', 'upper-trap-supine', 'upper-trap-prone',
  'first-rib-reach', 'trunk-rotation-supine', 'side-lying-rotation-low', 'side-lying-back-bow', 'side-bend-seated', 'rib-pelvis-spread', 'quadratus-comfort', 'quadratus-crossed', 'quadratus-reset', 'sacroiliac-twist'
);

ALTER TABLE rom_reading MODIFY COLUMN instrument ENUM('goniometer', 'inclinometer', 'tape', 'paired sensors') NOT NULL;
