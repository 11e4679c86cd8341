-- Whose account is vouched for by the practice's sign-in service: by its own key for them, which stays when a name changes.
CREATE TABLE openid_account (
    issuer VARCHAR(400) NOT NULL,
    subject VARCHAR(255) NOT NULL,
    account VARCHAR(100) NOT NULL UNIQUE REFERENCES account (name),
    created_at TIMESTAMP WITH TIME ZONE NOT NULL,
    PRIMARY KEY (issuer, subject)
);
