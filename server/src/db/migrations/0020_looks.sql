-- What is looked at: posture, layers, the foot, firing, swelling, skin.
ALTER TABLE finding MODIFY kind ENUM('end', 'clock', 'glide', 'leg-length', 'press', 'force', 'point', 'look') NOT NULL;
