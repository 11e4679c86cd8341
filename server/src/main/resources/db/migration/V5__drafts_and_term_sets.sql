-- What is published apart from what is being changed. A text that is not there is empty.
ALTER TABLE criteria_set ADD COLUMN draft VARCHAR DEFAULT '' NOT NULL;
ALTER TABLE criteria_set ADD COLUMN revision INT DEFAULT 0 NOT NULL;
ALTER TABLE criteria_set ADD COLUMN retired BOOLEAN DEFAULT FALSE NOT NULL;
UPDATE criteria_set SET revision = version;

ALTER TABLE criteria_version ADD COLUMN note VARCHAR(2000) DEFAULT '' NOT NULL;

-- The term sets that criteria sets share; left_out are members that were looked at and do not belong.
CREATE TABLE term_set (
    id         VARCHAR(200) PRIMARY KEY,
    name       VARCHAR(400) NOT NULL,
    members    VARCHAR      NOT NULL,
    left_out   VARCHAR      NOT NULL,
    version    INT          NOT NULL,
    changed_at TIMESTAMP(3) NOT NULL,
    changed_by VARCHAR(100) NOT NULL
);

CREATE TABLE term_set_version (
    id         VARCHAR(200) NOT NULL,
    name       VARCHAR(400) NOT NULL,
    members    VARCHAR      NOT NULL,
    left_out   VARCHAR      NOT NULL,
    version    INT          NOT NULL,
    changed_at TIMESTAMP(3) NOT NULL,
    changed_by VARCHAR(100) NOT NULL,
    PRIMARY KEY (id, version)
);
