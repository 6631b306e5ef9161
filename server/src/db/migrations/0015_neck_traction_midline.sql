-- A pull on the neck has no side: three entries that were worked left and right are worked in the middle from now on, with as many
-- pulls as the longer side had. Lines of runs keep their own version and are not touched.
UPDATE plan_block b
SET b.sides = JSON_ARRAY(JSON_OBJECT('side', 'midline', 'rounds', (
      SELECT MAX(p.rounds) FROM JSON_TABLE(b.sides, '$[*]' COLUMNS (rounds INT PATH '$.rounds')) p
    ))),
    b.limits = REPLACE(REPLACE(b.limits, '"left"', '"midline"'), '"right"', '"midline"')
WHERE b.entry_id IN ('neck-traction', 'neck-traction-forearm', 'neck-traction-towel')
  AND JSON_LENGTH(b.sides) > 0
  AND JSON_VALUE(b.sides, '$[0].side') <> 'midline';

-- The same in the sequences a practice keeps.
UPDATE own_item o
SET o.data = JSON_SET(o.data, '$.steps', JSON_COMPACT((
  SELECT JSON_ARRAYAGG(
    CASE
      WHEN s.entry IN ('neck-traction', 'neck-traction-forearm', 'neck-traction-towel') AND JSON_VALUE(s.step, '$.sides[0].side') <> 'midline'
      THEN JSON_SET(s.step, '$.sides', JSON_ARRAY(JSON_OBJECT('side', 'midline', 'rounds', (
        SELECT MAX(p.rounds) FROM JSON_TABLE(s.step, '$.sides[*]' COLUMNS (rounds INT PATH '$.rounds')) p
      ))))
      ELSE JSON_COMPACT(s.step)
    END
    ORDER BY s.place
  )
  FROM JSON_TABLE(o.data, '$.steps[*]' COLUMNS (place FOR ORDINALITY, step JSON PATH '$', entry VARCHAR(64) PATH '$.entryId')) s
)))
WHERE o.kind = 'protocol'
  AND JSON_CONTAINS(JSON_EXTRACT(o.data, '$.steps[*].entryId'), '"neck-traction"')
   OR o.kind = 'protocol' AND JSON_CONTAINS(JSON_EXTRACT(o.data, '$.steps[*].entryId'), '"neck-traction-forearm"')
   OR o.kind = 'protocol' AND JSON_CONTAINS(JSON_EXTRACT(o.data, '$.steps[*].entryId'), '"neck-traction-towel"');
