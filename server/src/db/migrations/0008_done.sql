-- What a run did, block by block, as its events say; kept with every event, so that a visit's file need not read whole runs.
-- Runs from before have none: it is worked out when it is asked for.
ALTER TABLE run
  ADD COLUMN done JSON NULL;
