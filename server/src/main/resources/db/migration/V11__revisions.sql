-- The revisions of what has none in a table of its own: outcomes, groups of colleagues, views of a desk.
CREATE TABLE revision (
    thing  VARCHAR(500) PRIMARY KEY,
    number INT NOT NULL
);

ALTER TABLE account ADD COLUMN revision INT DEFAULT 1 NOT NULL;
