-- That two people are one. What undoing needs of their fields is kept before, under this number with a minus as delivery.
CREATE TABLE joining (
    id        BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    person    VARCHAR(400) NOT NULL,
    other     VARCHAR(400) NOT NULL,
    joined_at TIMESTAMP WITH TIME ZONE NOT NULL,
    joined_by VARCHAR(100) NOT NULL,
    undone_at TIMESTAMP WITH TIME ZONE,
    undone_by VARCHAR(100)
);

-- That two people who look like one are not; the lower number first.
CREATE TABLE told_apart (
    id      BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    one     VARCHAR(400) NOT NULL,
    other   VARCHAR(400) NOT NULL,
    said_at TIMESTAMP WITH TIME ZONE NOT NULL,
    said_by VARCHAR(100) NOT NULL,
    UNIQUE (one, other)
);

-- Two who are both on file, and are one by what a source said.
CREATE TABLE said_to_be_one (
    one    VARCHAR(400) NOT NULL,
    other  VARCHAR(400) NOT NULL,
    source VARCHAR(400) NOT NULL,
    PRIMARY KEY (one, other, source)
);

-- Records that came under a number that is joined to another; shared where they came under the other, too.
CREATE TABLE event_named (
    record_key VARCHAR(420) NOT NULL,
    number     VARCHAR(400) NOT NULL,
    shared     BOOLEAN      NOT NULL,
    PRIMARY KEY (record_key, number)
);
CREATE INDEX event_named_by_number ON event_named (number);

-- Rows of other tables that a joining gave to the person who goes on.
CREATE TABLE joined_row (
    joining BIGINT      NOT NULL,
    part    VARCHAR(20) NOT NULL,
    row_id  BIGINT      NOT NULL,
    PRIMARY KEY (joining, part, row_id)
);

-- Places on lists as they were before a joining, and the revision at which it left them.
CREATE TABLE joined_entry AS
    SELECT CAST(0 AS BIGINT) AS joining, e.revision AS left_at, e.* FROM list_entry e WITH NO DATA;
CREATE INDEX joined_entry_of ON joined_entry (joining);
CREATE INDEX joined_entry_by_person ON joined_entry (person);
