-- What is written to people, in each language; the one in English is used where theirs is not there.
CREATE TABLE letter_template (
    name     VARCHAR(100)  NOT NULL,
    language VARCHAR(20)   NOT NULL,
    subject  VARCHAR(400)  NOT NULL,
    body     VARCHAR(8000) NOT NULL,
    revision INT           NOT NULL,
    PRIMARY KEY (name, language)
);
INSERT INTO letter_template (name, language, subject, body, revision) VALUES ('Recall', 'en', 'Please get in touch with us',
'Dear {{given_name}} {{family_name}},

our records say that something you should have regularly is due: {{list}}.

Please call us to make an appointment. If you have had it elsewhere, tell us when and where, and we will note it.

With kind regards
{{practice}}', 1);

-- The private address of somebody's follow-ups as a calendar; only a fingerprint of it is kept.
CREATE TABLE calendar_feed (
    account     VARCHAR(100) PRIMARY KEY,
    fingerprint VARCHAR(64)  NOT NULL UNIQUE
);
