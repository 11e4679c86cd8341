-- An intake as a document; the highest version is in force unless it is retired.
CREATE TABLE intake (
    id         VARCHAR(200) NOT NULL,
    version    INT          NOT NULL,
    name       VARCHAR(400) NOT NULL,
    document   VARCHAR      NOT NULL,
    retired    BOOLEAN      NOT NULL,
    changed_at TIMESTAMP WITH TIME ZONE NOT NULL,
    changed_by VARCHAR(100) NOT NULL,
    PRIMARY KEY (id, version)
);

ALTER TABLE import_log ADD intake VARCHAR(400);
ALTER TABLE import_log ADD checksum VARCHAR(64);
ALTER TABLE import_log ADD taken_back_at TIMESTAMP WITH TIME ZONE;
ALTER TABLE import_log ADD taken_back_by VARCHAR(100);

-- What a delivery did to each record: ADDED, CHANGED or GONE, and what it made of it.
CREATE TABLE delivery_record (
    delivery   BIGINT       NOT NULL,
    of_events  BOOLEAN      NOT NULL,
    record_key VARCHAR(420) NOT NULL,
    person     VARCHAR(400) NOT NULL,
    did        VARCHAR(10)  NOT NULL,
    made       VARCHAR(64)  NOT NULL,
    PRIMARY KEY (delivery, of_events, record_key)
);
CREATE INDEX delivery_record_by_person ON delivery_record (person);

-- Rows as they were before a delivery changed or removed them. A column that person or event gets, these get too.
CREATE TABLE person_before AS SELECT CAST(0 AS BIGINT) AS delivery, p.* FROM person p WITH NO DATA;
CREATE INDEX person_before_by_id ON person_before (id);
CREATE TABLE event_before AS SELECT CAST(0 AS BIGINT) AS delivery, e.* FROM event e WITH NO DATA;
CREATE INDEX event_before_by_key ON event_before (record_key);
CREATE INDEX event_before_by_person ON event_before (person_id);
