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

-- Of whom more than a password is asked: EITHER, a code or a passkey; or a PASSKEY.
CREATE TABLE second_factor_role (
    role VARCHAR(20) PRIMARY KEY,
    demanded VARCHAR(10) NOT NULL
);

-- Passkeys (W3C Web Authentication). Devices know an account by its handle, which says nothing of whose it is. What is
-- kept of a passkey is in base 64 for addresses, and is no secret.
CREATE TABLE passkey_handle (
    account VARCHAR(100) PRIMARY KEY REFERENCES account (name),
    handle VARCHAR(100) NOT NULL UNIQUE
);
CREATE TABLE passkey (
    id VARCHAR(1400) PRIMARY KEY,
    handle VARCHAR(100) NOT NULL REFERENCES passkey_handle (handle),
    label VARCHAR(100) NOT NULL,
    public_key VARCHAR(4000) NOT NULL,
    attestation VARCHAR(40000) NOT NULL,
    client_data VARCHAR(10000) NOT NULL,
    signature_count BIGINT NOT NULL,
    verified_somebody BOOLEAN NOT NULL,
    backup_eligible BOOLEAN NOT NULL,
    backed_up BOOLEAN NOT NULL,
    created_at TIMESTAMP WITH TIME ZONE NOT NULL,
    last_used_at TIMESTAMP WITH TIME ZONE NOT NULL
);
