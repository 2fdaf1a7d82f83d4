CREATE TABLE pier (
  pier_id integer PRIMARY KEY,
  label text NOT NULL
);
CREATE TABLE berth (
  berth_id integer PRIMARY KEY,
  pier_id integer NOT NULL REFERENCES pier (pier_id),
  depth integer
);
CREATE TABLE depth_log (entry_id integer PRIMARY KEY, berth_id integer NOT NULL, depth integer);
CREATE VIEW wide_berth AS SELECT b.berth_id, b.depth, p.label FROM berth b JOIN pier p ON p.pier_id = b.pier_id;
CREATE VIEW deep_berth AS SELECT * FROM wide_berth WHERE depth > 5;
CREATE TRIGGER depth_is_logged AFTER INSERT ON berth
WHEN NEW.depth > 0
BEGIN
  INSERT INTO depth_log VALUES (NEW.berth_id, NEW.berth_id, NEW.depth);
  UPDATE depth_log SET depth = CASE WHEN depth > 90 THEN 90 ELSE depth END WHERE entry_id = NEW.berth_id;
END;
