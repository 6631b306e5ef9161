-- Whose hands led a run; unknown for runs from before.
ALTER TABLE run
  ADD COLUMN account_id UUID NULL,
  ADD KEY run_by_account (account_id, started_at),
  ADD CONSTRAINT run_account FOREIGN KEY (account_id) REFERENCES account (id);
