-- What a list was when it was read: kept for ever, appended only.
CREATE TABLE reading (
    id         BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    set_id     VARCHAR(200) NOT NULL,
    version    INT          NOT NULL,
    as_of      DATE         NOT NULL,
    taken_at   TIMESTAMP(3) NOT NULL,
    taken_by   VARCHAR(100) NOT NULL,
    occasion   VARCHAR(20)  NOT NULL,
    records_at TIMESTAMP(3) NOT NULL,
    eligible   INT          NOT NULL,
    has        INT          NOT NULL,
    on_list    INT          NOT NULL,
    to_check   INT          NOT NULL,
    joined     INT          NOT NULL,
    gone       INT          NOT NULL
);
CREATE INDEX reading_of_set ON reading (set_id, id);

-- Who was on the list or to check, with the due date as the command line writes it.
CREATE TABLE reading_member (
    reading BIGINT       NOT NULL REFERENCES reading (id),
    person  VARCHAR(200) NOT NULL,
    state   VARCHAR(10)  NOT NULL,
    due_on  VARCHAR(10)  NOT NULL,
    band    VARCHAR(400) NOT NULL,
    PRIMARY KEY (reading, person)
);

-- Whose place is another one than at the reading before, and why.
CREATE TABLE reading_change (
    reading BIGINT        NOT NULL REFERENCES reading (id),
    person  VARCHAR(200)  NOT NULL,
    was     VARCHAR(10)   NOT NULL,
    now_is  VARCHAR(10)   NOT NULL,
    cause   VARCHAR(20)   NOT NULL,
    words   VARCHAR(4000) NOT NULL,
    PRIMARY KEY (reading, person)
);
