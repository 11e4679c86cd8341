-- Rosters that criteria sets share; each set holds a copy of the rows that hold as of a day.
CREATE TABLE roster (
    id         VARCHAR(200) PRIMARY KEY,
    name       VARCHAR(400) NOT NULL,
    key_fields VARCHAR      NOT NULL,
    named      VARCHAR      NOT NULL,
    until      VARCHAR(10)  NOT NULL,
    copied_on  DATE         NOT NULL,
    intake     VARCHAR      NOT NULL,
    version    INT          NOT NULL,
    changed_at TIMESTAMP(3) NOT NULL,
    changed_by VARCHAR(100) NOT NULL
);

-- What is laid side by side again and again; the files themselves are not kept.
CREATE TABLE comparison (
    id         VARCHAR(200) PRIMARY KEY,
    name       VARCHAR(400) NOT NULL,
    document   VARCHAR      NOT NULL,
    version    INT          NOT NULL,
    changed_at TIMESTAMP(3) NOT NULL,
    changed_by VARCHAR(100) NOT NULL
);
