-- When colleagues and record systems are told of those on a list, and what may be said to them.
CREATE TABLE prompt_rule (
    set_id            VARCHAR(200) PRIMARY KEY,
    when_opened       BOOLEAN      NOT NULL,
    when_coming_in    BOOLEAN      NOT NULL,
    to_record_systems BOOLEAN      NOT NULL,
    sentence          VARCHAR      NOT NULL,
    revision          INT          NOT NULL
);

-- Of whom nobody is told for a while, since a colleague said so.
CREATE TABLE prompt_dismissal (
    id        BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    set_id    VARCHAR(200) NOT NULL,
    person    VARCHAR(400) NOT NULL,
    reason    VARCHAR      NOT NULL,
    from_day  DATE         NOT NULL,
    until_day DATE         NOT NULL,
    account   VARCHAR(100) NOT NULL,
    ended     BOOLEAN      NOT NULL
);
CREATE INDEX prompt_dismissal_by_person ON prompt_dismissal (person);
