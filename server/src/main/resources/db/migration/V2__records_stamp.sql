-- One row. It changes with every change of people, events or custom fields, so that what is derived from them can be told
-- from what is derived from others.
CREATE TABLE records_stamp (
    stamp VARCHAR(40) NOT NULL
);

INSERT INTO records_stamp (stamp) VALUES (CAST(RANDOM_UUID() AS VARCHAR));
