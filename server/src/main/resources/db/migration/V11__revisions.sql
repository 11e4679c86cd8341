-- The revisions of what has none in a table of its own: outcomes, groups of colleagues, views of a desk.
CREATE TABLE revision (
    thing  VARCHAR(500) PRIMARY KEY,
    number INT NOT NULL
);

ALTER TABLE account ADD COLUMN revision INT DEFAULT 1 NOT NULL;

-- What came of work that a browser sent under a name, for when it sends it again since the answer was lost.
CREATE TABLE outreach_answer (
    account VARCHAR(100) NOT NULL,
    set_id  VARCHAR(200) NOT NULL,
    batch   VARCHAR(36)  NOT NULL,
    part    INT          NOT NULL,
    answer  VARCHAR      NOT NULL,
    PRIMARY KEY (account, set_id, batch, part)
);

-- Who writes to people; one row. A picture is a data URL.
CREATE TABLE letterhead (
    practice  VARCHAR(200) NOT NULL,
    address   VARCHAR(600) NOT NULL,
    phone     VARCHAR(100) NOT NULL,
    email     VARCHAR(200) NOT NULL,
    signed_by VARCHAR(400) NOT NULL,
    signature VARCHAR      NOT NULL,
    revision  INT          NOT NULL
);
INSERT INTO letterhead (practice, address, phone, email, signed_by, signature, revision)
VALUES ('', '', '', '', '', '', 0);

-- What was written to whom, so that the same does not go again without being asked for.
CREATE TABLE written_to (
    id       BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    set_id   VARCHAR(200) NOT NULL,
    person   VARCHAR(400) NOT NULL,
    what     VARCHAR(10)  NOT NULL,
    template VARCHAR(100) NOT NULL,
    on_day   DATE         NOT NULL,
    account  VARCHAR(100) NOT NULL
);
CREATE INDEX written_to_of_set ON written_to (set_id, what, template, on_day);

-- What a list is called among colleagues is not for the people on it.
UPDATE letter_template SET body = REPLACE(body, ' is due: {{list}}.', ' is due.') WHERE name = 'Recall' AND language = 'en';

-- Who is to check is looked at, and not called.
UPDATE list_entry SET next_step = 'LOOK' WHERE standing = 'CHECK' AND next_step IN ('CALL', 'LETTER', 'EMAIL', 'MESSAGE');
