-- A second factor besides the password: the secret that its codes are made of (RFC 6238), and the last one that was used.
CREATE TABLE second_factor (
    account VARCHAR(100) PRIMARY KEY REFERENCES account (name),
    secret VARCHAR(64) NOT NULL,
    last_counter BIGINT NOT NULL,
    since TIMESTAMP WITH TIME ZONE NOT NULL
);

-- For when the device is lost; each is good once and goes then. What is kept does not give it back.
CREATE TABLE recovery_code (
    account VARCHAR(100) NOT NULL REFERENCES account (name),
    fingerprint VARCHAR(64) NOT NULL,
    PRIMARY KEY (account, fingerprint)
);

-- The roles that nobody may act in without a second factor.
CREATE TABLE second_factor_role (
    role VARCHAR(20) PRIMARY KEY
);
