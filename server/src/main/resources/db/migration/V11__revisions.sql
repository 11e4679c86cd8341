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
