CREATE TABLE account (
    id            BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    name          VARCHAR(100) NOT NULL UNIQUE,
    display_name  VARCHAR(200) NOT NULL,
    role          VARCHAR(30)  NOT NULL,
    password_hash VARCHAR(200) NOT NULL,
    created_at    TIMESTAMP(3) NOT NULL
);

CREATE TABLE custom_field (
    name VARCHAR(200) PRIMARY KEY,
    type VARCHAR(20) NOT NULL
);

-- Dates are ranges of days: a day where they are exact, a month or a year where they are partial.
CREATE TABLE person (
    id             VARCHAR(400) PRIMARY KEY,
    family_name    VARCHAR,
    given_name     VARCHAR,
    birth_first    DATE,
    birth_last     DATE,
    sex            VARCHAR,
    status         VARCHAR,
    deceased_first DATE,
    deceased_last  DATE,
    provider       VARCHAR,
    site           VARCHAR,
    phone          VARCHAR,
    mobile         VARCHAR,
    email          VARCHAR,
    address        VARCHAR,
    city           VARCHAR,
    postcode       VARCHAR,
    language       VARCHAR,
    contact_by     VARCHAR,
    do_not_contact BOOLEAN,
    -- The custom fields, as a JSON object of texts; custom_field says of what type each is.
    custom         VARCHAR NOT NULL
);

-- record_key is the record's own id, or for a record without one a fingerprint of all its fields.
-- There is no foreign key to person: records of people who come later wait for them.
CREATE TABLE event (
    record_key  VARCHAR(420) PRIMARY KEY,
    fingerprint VARCHAR(64)  NOT NULL,
    id          VARCHAR(400),
    person_id   VARCHAR(400) NOT NULL,
    kind        VARCHAR      NOT NULL,
    code        VARCHAR,
    system      VARCHAR,
    text        VARCHAR,
    on_first    DATE,
    on_last     DATE,
    until_first DATE,
    until_last  DATE,
    status      VARCHAR,
    event_value DOUBLE PRECISION,
    unit        VARCHAR,
    value_text  VARCHAR,
    keywords    VARCHAR,
    provider    VARCHAR,
    site        VARCHAR,
    source      VARCHAR
);

CREATE TABLE import_log (
    id             BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    taken_at       TIMESTAMP(3) NOT NULL,
    taken_by       VARCHAR(100) NOT NULL,
    kind           VARCHAR(20)  NOT NULL,
    file_name      VARCHAR(400) NOT NULL,
    new_rows       INT NOT NULL,
    changed_rows   INT NOT NULL,
    unchanged_rows INT NOT NULL,
    bad_lines      INT NOT NULL,
    unknown_people INT NOT NULL
);

CREATE TABLE criteria_set (
    id         VARCHAR(200) PRIMARY KEY,
    name       VARCHAR(400) NOT NULL,
    document   VARCHAR      NOT NULL,
    version    INT          NOT NULL,
    changed_at TIMESTAMP(3) NOT NULL,
    changed_by VARCHAR(100) NOT NULL
);

-- Appended only.
CREATE TABLE audit_entry (
    id      BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    at      TIMESTAMP(3) NOT NULL,
    account VARCHAR(100) NOT NULL,
    act     VARCHAR(40)  NOT NULL,
    subject VARCHAR      NOT NULL
);
