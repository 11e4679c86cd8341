ALTER TABLE event ADD recorded_first DATE;
ALTER TABLE event ADD recorded_last DATE;
-- Further codes, as files write them: code|system, separated by semicolons.
ALTER TABLE event ADD also_coded VARCHAR;
-- The custom fields, as of a person; none is no object.
ALTER TABLE event ADD custom VARCHAR;

ALTER TABLE custom_field ADD of_events BOOLEAN DEFAULT FALSE NOT NULL;
ALTER TABLE custom_field DROP PRIMARY KEY;
ALTER TABLE custom_field ADD PRIMARY KEY (of_events, name);
