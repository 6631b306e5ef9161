-- What a finger finds in a muscle: tender points, lumps, bands.
ALTER TABLE finding MODIFY kind ENUM('end', 'clock', 'glide', 'leg-length', 'press', 'force', 'point') NOT NULL;
