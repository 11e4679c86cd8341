-- From where each account signed in before: what strangers try elsewhere does not keep it out there.
CREATE TABLE signed_in_from (
    account VARCHAR(100) NOT NULL REFERENCES account (name),
    address VARCHAR(100) NOT NULL,
    last_at TIMESTAMP WITH TIME ZONE NOT NULL,
    PRIMARY KEY (account, address)
);

-- From where something was done, and in which session; and the chain that shows whether an entry was changed or removed.
ALTER TABLE audit_entry ADD COLUMN address VARCHAR(100) DEFAULT '' NOT NULL;
ALTER TABLE audit_entry ADD COLUMN session VARCHAR(20) DEFAULT '' NOT NULL;
ALTER TABLE audit_entry ADD COLUMN place BIGINT;
ALTER TABLE audit_entry ADD COLUMN hash VARCHAR(64) DEFAULT '' NOT NULL;
CREATE UNIQUE INDEX audit_entry_place ON audit_entry (place);
