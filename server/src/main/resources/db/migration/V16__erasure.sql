-- Who was erased, by a fingerprint of their number alone; empty once files may bring them in again.
CREATE TABLE erasure (
    id          BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    stub        VARCHAR(40)   NOT NULL UNIQUE,
    fingerprint VARCHAR(64)   NOT NULL,
    erased_at   TIMESTAMP WITH TIME ZONE NOT NULL,
    erased_by   VARCHAR(100)  NOT NULL,
    asked_by    VARCHAR(200)  NOT NULL,
    why         VARCHAR(1000) NOT NULL,
    kept_out    BOOLEAN       NOT NULL
);

-- Of whom something is kept who is not on file, and since when, as far as it was noticed.
CREATE TABLE off_file (
    person VARCHAR(400) PRIMARY KEY,
    since  DATE NOT NULL
);
