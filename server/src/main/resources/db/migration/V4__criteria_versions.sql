-- What each saved set said at each of its versions; kept as long as the set is.
CREATE TABLE criteria_version (
    id         VARCHAR(200) NOT NULL,
    name       VARCHAR(400) NOT NULL,
    document   VARCHAR      NOT NULL,
    version    INT          NOT NULL,
    changed_at TIMESTAMP(3) NOT NULL,
    changed_by VARCHAR(100) NOT NULL,
    PRIMARY KEY (id, version)
);

INSERT INTO criteria_version (id, name, document, version, changed_at, changed_by)
SELECT id, name, document, version, changed_at, changed_by FROM criteria_set;
