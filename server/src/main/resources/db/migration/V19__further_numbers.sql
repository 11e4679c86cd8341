-- Further numbers by which a source knows somebody; an empty source stands for all of them.
CREATE TABLE person_number (
    number   VARCHAR(400) NOT NULL,
    source   VARCHAR(400) NOT NULL,
    person   VARCHAR(400) NOT NULL,
    delivery BIGINT       NOT NULL,
    PRIMARY KEY (number, source)
);
CREATE INDEX person_number_by_person ON person_number (person);
