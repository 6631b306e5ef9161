-- Lines that no account stands behind: a wrong password for a name that is nobody's, work at the terminal.
ALTER TABLE audit MODIFY COLUMN account_id UUID NULL;

-- Squads are changed by revision, like everything else that two may change.
ALTER TABLE squad ADD COLUMN revision INT UNSIGNED NOT NULL DEFAULT 1;

-- So are the minutes a day that a tool may carry, apart from the practice's other settings.
ALTER TABLE practice ADD COLUMN tool_limits_revision INT UNSIGNED NOT NULL DEFAULT 0;

-- Events are the practice's to add, for everybody or for one squad.
ALTER TABLE calendar_event
  ADD COLUMN squad_id UUID NULL,
  ADD COLUMN revision INT UNSIGNED NOT NULL DEFAULT 1,
  ADD CONSTRAINT event_squad FOREIGN KEY (squad_id) REFERENCES squad (id);

-- Attempts are counted before a password is looked at, per name and per address, and cleared by their age.
ALTER TABLE sign_in_attempt ADD KEY attempt_by_time (last_at);
