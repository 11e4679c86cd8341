-- Who was set aside is excused: one word everywhere.
ALTER TABLE set_aside RENAME TO excusal;
ALTER INDEX set_aside_of RENAME TO excusal_of;
UPDATE outreach_act SET kind = 'EXCUSED' WHERE kind = 'SET_ASIDE';
UPDATE joined_row SET part = 'EXCUSED' WHERE part = 'ASIDE';
