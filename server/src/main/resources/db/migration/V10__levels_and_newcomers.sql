-- How many people there were at each level of a reading, as JSON; empty for readings taken before this was kept.
ALTER TABLE reading ADD COLUMN levels VARCHAR DEFAULT '' NOT NULL;

-- How each provider's and each site's people stood at a reading.
CREATE TABLE reading_part (
    reading  BIGINT      NOT NULL REFERENCES reading (id),
    field    VARCHAR(20) NOT NULL,
    name     VARCHAR     NOT NULL,
    eligible INT         NOT NULL,
    has      INT         NOT NULL,
    on_list  INT         NOT NULL,
    to_check INT         NOT NULL
);
CREATE INDEX reading_part_of ON reading_part (reading, field);

-- As long as people's ids and the names of bands may be.
ALTER TABLE reading_member ALTER COLUMN person SET DATA TYPE VARCHAR(400);
ALTER TABLE reading_member ALTER COLUMN band SET DATA TYPE VARCHAR;
ALTER TABLE reading_change ALTER COLUMN person SET DATA TYPE VARCHAR(400);
ALTER TABLE list_entry ALTER COLUMN band SET DATA TYPE VARCHAR;

-- When somebody came on file.
ALTER TABLE person ADD COLUMN came_at TIMESTAMP(3) DEFAULT TIMESTAMP '1970-01-01 00:00:00' NOT NULL;

-- People who went off file, since a file that named everybody did not name them.
ALTER TABLE import_log ADD COLUMN gone_rows INT DEFAULT 0 NOT NULL;
