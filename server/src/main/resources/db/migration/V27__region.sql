-- What a region answered to the question of a list, as of a day.
CREATE TABLE region_answer (
    set_id        VARCHAR(200) NOT NULL,
    as_of         DATE NOT NULL,
    -- Which question it answers.
    asked         VARCHAR(64) NOT NULL,
    -- The numbers of all practices together and of each, as JSON; their names are not kept.
    counts        CLOB NOT NULL,
    brought_in_at TIMESTAMP(3) NOT NULL,
    brought_in_by VARCHAR(100) NOT NULL,
    PRIMARY KEY (set_id, as_of)
);
