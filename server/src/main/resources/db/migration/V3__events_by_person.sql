-- The events of a few people are read anew after a small change.
CREATE INDEX event_person ON event (person_id);
