-- Which source brought each field of somebody, as a JSON object of texts by field; nothing of fields that none brought by name.
ALTER TABLE person ADD said_by VARCHAR;
ALTER TABLE person_before ADD said_by VARCHAR;

-- What a source says otherwise than another one, whose word stays: of a person, or of a record where it has a key.
CREATE TABLE said_otherwise (
    person     VARCHAR(400) NOT NULL,
    record_key VARCHAR(420) NOT NULL,
    field      VARCHAR(200) NOT NULL,
    source     VARCHAR      NOT NULL,
    said       VARCHAR      NOT NULL,
    delivery   BIGINT       NOT NULL,
    PRIMARY KEY (person, record_key, field, source)
);
CREATE INDEX said_otherwise_by_record ON said_otherwise (record_key);

-- Every file is read by an intake.
ALTER TABLE import_log DROP COLUMN kind;

-- Written a row for each record of a file, and read file by file: found by more it would take as long to keep as the records.
DROP INDEX delivery_record_by_person;
ALTER TABLE delivery_record DROP PRIMARY KEY;
CREATE INDEX delivery_record_of ON delivery_record (delivery);
