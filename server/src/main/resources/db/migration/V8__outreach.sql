-- What a reading was taken of: the state of the records by its name, and the dials as they were turned.
ALTER TABLE reading ADD COLUMN records_stamp VARCHAR(64) DEFAULT '' NOT NULL;
ALTER TABLE reading ADD COLUMN dials VARCHAR DEFAULT '{}' NOT NULL;

-- The sentence that decided it.
ALTER TABLE reading_member ADD COLUMN why VARCHAR(4000) DEFAULT '' NOT NULL;

-- When a list is read by itself, and with which dials; a list without a row is read every day.
CREATE TABLE reading_plan (
    set_id       VARCHAR(200) PRIMARY KEY,
    every        VARCHAR(10)  NOT NULL,
    day_of_week  INT          NOT NULL,
    day_of_month INT          NOT NULL,
    at_time      VARCHAR(5)   NOT NULL,
    dials        VARCHAR      NOT NULL,
    revision     INT          NOT NULL
);

-- Somebody who is or was on a list, and how far the colleagues are with them. Days are ISO dates, or empty.
CREATE TABLE list_entry (
    id         BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    set_id     VARCHAR(200)  NOT NULL,
    person     VARCHAR(400)  NOT NULL,
    standing   VARCHAR(10)   NOT NULL,
    state      VARCHAR(20)   NOT NULL,
    due_on     VARCHAR(10)   NOT NULL,
    band       VARCHAR(400)  NOT NULL,
    joined_on  DATE          NOT NULL,
    why        VARCHAR(4000) NOT NULL,
    steps_done INT           NOT NULL,
    next_step  VARCHAR(10)   NOT NULL,
    next_on    VARCHAR(10)   NOT NULL,
    revision   INT           NOT NULL,
    changed_on DATE          NOT NULL,
    UNIQUE (set_id, person)
);
CREATE INDEX entry_of_person ON list_entry (person);

-- The reading that a list's entries follow.
CREATE TABLE list_followed (
    set_id  VARCHAR(200) PRIMARY KEY,
    reading BIGINT       NOT NULL
);

-- Whom a colleague has in hand: a person is in one hand at a time, on whichever lists.
CREATE TABLE in_hand (
    person  VARCHAR(400) PRIMARY KEY,
    account VARCHAR(100) NOT NULL,
    since   TIMESTAMP(3) NOT NULL
);
CREATE INDEX in_hand_of ON in_hand (account);

-- What was done about people, by colleagues or by a reading (account empty). Appended only, but for being undone.
CREATE TABLE outreach_act (
    id          BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    batch       VARCHAR(36)   NOT NULL,
    set_id      VARCHAR(200)  NOT NULL,
    person      VARCHAR(400)  NOT NULL,
    account     VARCHAR(100)  NOT NULL,
    at          TIMESTAMP(3)  NOT NULL,
    on_day      DATE          NOT NULL,
    kind        VARCHAR(20)   NOT NULL,
    outcome     VARCHAR(60)   NOT NULL,
    words       VARCHAR(4000) NOT NULL,
    hand_before VARCHAR(100)  NOT NULL,
    undone      BOOLEAN       NOT NULL
);
CREATE INDEX act_of_person ON outreach_act (person, id);
CREATE INDEX act_of_batch ON outreach_act (batch);
CREATE INDEX act_of_set ON outreach_act (set_id, kind, on_day);

-- The entries that an act changed, as they were before, and the revision it left them at.
CREATE TABLE outreach_change (
    act        BIGINT      NOT NULL REFERENCES outreach_act (id),
    entry      BIGINT      NOT NULL REFERENCES list_entry (id),
    state      VARCHAR(20) NOT NULL,
    steps_done INT         NOT NULL,
    next_step  VARCHAR(10) NOT NULL,
    next_on    VARCHAR(10) NOT NULL,
    changed_on DATE        NOT NULL,
    revision   INT         NOT NULL,
    PRIMARY KEY (act, entry)
);

-- Off one list, or off all where set_id is empty; for ever where until_day is empty.
CREATE TABLE set_aside (
    id        BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    act       BIGINT        NOT NULL REFERENCES outreach_act (id),
    set_id    VARCHAR(200)  NOT NULL,
    person    VARCHAR(400)  NOT NULL,
    reason    VARCHAR(2000) NOT NULL,
    from_day  DATE          NOT NULL,
    until_day VARCHAR(10)   NOT NULL,
    account   VARCHAR(100)  NOT NULL,
    ended     BOOLEAN       NOT NULL
);
CREATE INDEX set_aside_of ON set_aside (person);

-- How a list is worked: its contact plan, whom it holds back, and its parts.
CREATE TABLE list_manner (
    set_id   VARCHAR(200) PRIMARY KEY,
    manner   VARCHAR      NOT NULL,
    revision INT          NOT NULL
);

-- What can come of an attempt. Those that come with the product have no practice name of their own.
CREATE TABLE attempt_outcome (
    id       VARCHAR(60)  PRIMARY KEY,
    name     VARCHAR(100) NOT NULL,
    effect   VARCHAR(20)  NOT NULL,
    place    INT          NOT NULL,
    in_use   BOOLEAN      NOT NULL
);
INSERT INTO attempt_outcome (id, name, effect, place, in_use) VALUES
    ('reached', 'Reached', 'REACHED', 1, TRUE),
    ('booked', 'Booked', 'BOOKED', 2, TRUE),
    ('declined', 'Declined', 'DECLINED', 3, TRUE),
    ('left-message', 'Left message', 'NOT_REACHED', 4, TRUE),
    ('no-answer', 'No answer', 'NOT_REACHED', 5, TRUE),
    ('wrong-number', 'Wrong number', 'WRONG_NUMBER', 6, TRUE),
    ('sent-letter', 'Sent letter', 'SENT', 7, TRUE),
    ('sent-e-mail', 'Sent e-mail', 'SENT', 8, TRUE),
    ('sent-text', 'Sent text', 'SENT', 9, TRUE);

-- How somebody lays out the desk of a list, as JSON.
CREATE TABLE own_view (
    account VARCHAR(100) NOT NULL,
    set_id  VARCHAR(200) NOT NULL,
    views   VARCHAR      NOT NULL,
    PRIMARY KEY (account, set_id)
);
