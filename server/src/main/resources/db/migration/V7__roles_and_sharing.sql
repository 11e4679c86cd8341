-- Somebody may have several roles; who could do everything before keeps the accounts too.
ALTER TABLE account ALTER COLUMN role RENAME TO roles;
ALTER TABLE account ALTER COLUMN roles SET DATA TYPE VARCHAR(200);
UPDATE account SET roles = 'COORDINATOR,ADMINISTRATOR' WHERE roles = 'COORDINATOR';
ALTER TABLE account ADD COLUMN provider VARCHAR(400) DEFAULT '' NOT NULL;
ALTER TABLE account ADD COLUMN own_people_only BOOLEAN DEFAULT FALSE NOT NULL;
ALTER TABLE account ADD COLUMN given_lists_only BOOLEAN DEFAULT FALSE NOT NULL;
ALTER TABLE account ADD COLUMN closed BOOLEAN DEFAULT FALSE NOT NULL;

CREATE TABLE group_member (
    group_name VARCHAR(100) NOT NULL,
    account    VARCHAR(100) NOT NULL,
    PRIMARY KEY (group_name, account)
);

-- Whose a criteria set and its list are, and what everybody may do with them.
CREATE TABLE sharing (
    set_id    VARCHAR(200) PRIMARY KEY,
    owner     VARCHAR(100) NOT NULL,
    everybody VARCHAR(10)  NOT NULL,
    revision  INT          NOT NULL
);
INSERT INTO sharing (set_id, owner, everybody, revision) SELECT id, changed_by, 'CHANGE', 1 FROM criteria_set;

CREATE TABLE share (
    set_id  VARCHAR(200) NOT NULL REFERENCES sharing (set_id) ON DELETE CASCADE,
    kind    VARCHAR(10)  NOT NULL,
    grantee VARCHAR(100) NOT NULL,
    granted VARCHAR(10)  NOT NULL,
    PRIMARY KEY (set_id, kind, grantee)
);
