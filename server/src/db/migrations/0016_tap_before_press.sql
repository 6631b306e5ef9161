-- "Point, ease, lengthen, reset" has a tap before the press: the sixth phase of its round. Rounds that a practice arranged from it name
-- its phases by their place, from 0, so the later ones move on by one.
UPDATE own_item o
SET o.data = JSON_SET(o.data, '$.phases', JSON_COMPACT((
  SELECT JSON_ARRAYAGG(
    CASE WHEN p.place >= 5 THEN JSON_SET(p.phase, '$.of', p.place + 1) ELSE JSON_COMPACT(p.phase) END
    ORDER BY p.at
  )
  FROM JSON_TABLE(o.data, '$.phases[*]' COLUMNS (at FOR ORDINALITY, phase JSON PATH '$', place INT PATH '$.of')) p
)))
WHERE o.kind = 'way'
  AND JSON_VALUE(o.data, '$.baseId') = 'inhibit-integrated'
  AND JSON_LENGTH(o.data, '$.phases') > 0;
