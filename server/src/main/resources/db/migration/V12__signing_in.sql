-- From where each account signed in before: what strangers try elsewhere does not keep it out there.
CREATE TABLE signed_in_from (
    account VARCHAR(100) NOT NULL REFERENCES account (name),
    address VARCHAR(100) NOT NULL,
    last_at TIMESTAMP WITH TIME ZONE NOT NULL,
    PRIMARY KEY (account, address)
);
