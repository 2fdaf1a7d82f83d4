CREATE TABLE pier (
  pier_id integer NOT NULL PRIMARY KEY,
  label varchar(40) NOT NULL
);
CREATE VIEW short_pier (label) AS SELECT label FROM pier WHERE char_length(label) < 4;
CREATE TRIGGER trimmed BEFORE INSERT ON pier REFERENCING NEW AS n FOR EACH ROW
BEGIN ATOMIC
  SET n.label = trim(n.label);
END;
GRANT SELECT ON short_pier TO harbour;
