-- A reading of some people only says what is another than at the one before; both are told from the whole one before them.
ALTER TABLE reading ADD base BIGINT DEFAULT 0 NOT NULL;
UPDATE reading SET base = id;

-- A row holds from one of the readings with its base on, before another one.
ALTER TABLE reading_member ADD (
    from_reading  BIGINT DEFAULT 0 NOT NULL,
    until_reading BIGINT DEFAULT 9223372036854775807 NOT NULL
);
ALTER TABLE reading_member DROP PRIMARY KEY;
ALTER TABLE reading_member ADD PRIMARY KEY (reading, person, from_reading);

-- Whoever was tried, of very many who joined.
CREATE INDEX act_of_kind ON outreach_act (kind, person, id);
