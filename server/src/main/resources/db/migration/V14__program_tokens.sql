-- What programs show in place of a password; what is kept does not give it back. A withdrawn one is gone. One that was
-- never used was used last when it was made, from nowhere.
CREATE TABLE program_token (
    id VARCHAR(36) PRIMARY KEY,
    account VARCHAR(100) NOT NULL REFERENCES account (name),
    label VARCHAR(100) NOT NULL,
    scopes VARCHAR(200) NOT NULL,
    fingerprint VARCHAR(64) NOT NULL UNIQUE,
    created_at TIMESTAMP WITH TIME ZONE NOT NULL,
    expires_at TIMESTAMP WITH TIME ZONE NOT NULL,
    last_used_at TIMESTAMP WITH TIME ZONE NOT NULL,
    last_address VARCHAR(100) DEFAULT '' NOT NULL
);
CREATE INDEX program_token_account ON program_token (account);
