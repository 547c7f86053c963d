-- Up Migration

-- ridges were counted by chords; they are worked out anew, measured in beats
update song set ridge = null;

-- Down Migration

update song set ridge = null;
