-- Record systems that may ask what is due of somebody, with the public keys by which they are known.
CREATE TABLE record_system (
    id            VARCHAR(60)   PRIMARY KEY,
    name          VARCHAR(400)  NOT NULL,
    issuer        VARCHAR(1000) NOT NULL UNIQUE,
    keys          VARCHAR       NOT NULL,
    number_system VARCHAR(1000) NOT NULL,
    source        VARCHAR       NOT NULL,
    revision      INT           NOT NULL
);

-- What a record system was told, and what came of it there.
CREATE TABLE told_card (
    uuid          VARCHAR(36)  PRIMARY KEY,
    record_system VARCHAR(60)  NOT NULL,
    hook          VARCHAR(60)  NOT NULL,
    person        VARCHAR(400) NOT NULL,
    set_id        VARCHAR(200) NOT NULL,
    at            TIMESTAMP(3) NOT NULL,
    outcome       VARCHAR(20)  NOT NULL,
    reason        VARCHAR      NOT NULL
);
CREATE INDEX told_card_by_person ON told_card (person);
CREATE INDEX told_card_by_time ON told_card (at);
