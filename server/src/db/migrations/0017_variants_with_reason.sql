-- What is easier or harder than an own entry has its reason beside it. Of those from before nobody wrote one down.
UPDATE own_item o
SET o.data = JSON_SET(o.data, '$.easier', JSON_COMPACT((
  SELECT JSON_ARRAYAGG(JSON_OBJECT('id', v.id, 'why', '') ORDER BY v.at)
  FROM JSON_TABLE(o.data, '$.easier[*]' COLUMNS (at FOR ORDINALITY, id VARCHAR(64) PATH '$')) v
)))
WHERE o.kind = 'entry' AND JSON_LENGTH(o.data, '$.easier') > 0;

UPDATE own_item o
SET o.data = JSON_SET(o.data, '$.harder', JSON_COMPACT((
  SELECT JSON_ARRAYAGG(JSON_OBJECT('id', v.id, 'why', '') ORDER BY v.at)
  FROM JSON_TABLE(o.data, '$.harder[*]' COLUMNS (at FOR ORDINALITY, id VARCHAR(64) PATH '$')) v
)))
WHERE o.kind = 'entry' AND JSON_LENGTH(o.data, '$.harder') > 0;
