CREATE FUNCTION tidy(t text) RETURNS text LANGUAGE sql IMMUTABLE AS $$ SELECT trim(t); $$;
CREATE SEQUENCE ticket_no START WITH 100;
CREATE TABLE pier (
  pier_id integer PRIMARY KEY,
  label varchar(40) NOT NULL CHECK (tidy(label) <> '')
);
CREATE TABLE berth (
  berth_id integer PRIMARY KEY,
  pier_id integer NOT NULL REFERENCES pier,
  depth integer
);
CREATE TABLE depth_log (entry_id integer PRIMARY KEY, berth_id integer NOT NULL, depth integer);
CREATE VIEW wide_berth AS SELECT b.berth_id, b.depth, p.label FROM berth b JOIN pier p ON p.pier_id = b.pier_id;
CREATE FUNCTION log_depth() RETURNS trigger LANGUAGE plpgsql AS $body$
BEGIN
  INSERT INTO depth_log VALUES (NEW.berth_id, NEW.berth_id, NEW.depth);
  RETURN NEW; -- the row as it is
END
$body$;
CREATE TRIGGER depth_is_logged AFTER INSERT ON berth FOR EACH ROW EXECUTE FUNCTION log_depth();
CREATE VIEW deep_berth AS SELECT * FROM wide_berth WHERE depth > 5;
COMMENT ON VIEW wide_berth IS 'berths; with the name of their pier';
CREATE AGGREGATE deepest(integer) (SFUNC = int4larger, STYPE = integer, INITCOND = '0');
CREATE VIEW deepest_berth AS SELECT deepest(depth) AS depth FROM depth_log;
