-- Where a colleague reads what is sent to them; empty where nothing is.
ALTER TABLE account ADD email VARCHAR(254) DEFAULT '' NOT NULL;

-- What is sent to colleagues by itself: a list, what is new on it, or the sheet of a morning (of all lists where none is named).
CREATE TABLE sending (
    id           VARCHAR(36)  PRIMARY KEY,
    set_id       VARCHAR(200) NOT NULL,
    what         VARCHAR(20)  NOT NULL,
    every        VARCHAR(10)  NOT NULL,
    day_of_week  INT          NOT NULL,
    day_of_month INT          NOT NULL,
    at_time      VARCHAR(5)   NOT NULL,
    only_new     BOOLEAN      NOT NULL,
    account      VARCHAR(100) NOT NULL,
    revision     INT          NOT NULL
);

-- How far each colleague was sent it: up to which time, and to which act on lists.
CREATE TABLE sent_to (
    sending  VARCHAR(36)  NOT NULL,
    account  VARCHAR(100) NOT NULL,
    due_at   TIMESTAMP(3) NOT NULL,
    tried_at TIMESTAMP(3) NOT NULL,
    mark     BIGINT       NOT NULL,
    problem  VARCHAR      NOT NULL,
    PRIMARY KEY (sending, account)
);
