PRAGMA foreign_keys=OFF;
BEGIN TRANSACTION;
CREATE TABLE IF NOT EXISTS "plot" (
	"id"	INTEGER NOT NULL,
	"row"	TEXT NOT NULL COLLATE NOCASE,
	"number"	INTEGER NOT NULL CHECK("number" > 0),
	"area"	REAL,
	UNIQUE("row","number"),
	PRIMARY KEY("id" AUTOINCREMENT)
);
INSERT INTO plot VALUES(1,'A',1,12.5);
CREATE TABLE gardener (
  member_no INTEGER PRIMARY KEY,
  name TEXT NOT NULL,
  since DATE DEFAULT CURRENT_DATE,
  active BOOLEAN NOT NULL DEFAULT 1,
  note
);
CREATE TABLE lease (
  plot_id INTEGER NOT NULL REFERENCES plot(id) ON DELETE CASCADE,
  member_no INTEGER NOT NULL CONSTRAINT fk_member REFERENCES gardener,
  [from] TEXT NOT NULL,
  until TEXT,
  rent NUMERIC(8,2) DEFAULT (10 * 2.5),
  CONSTRAINT lease_pk PRIMARY KEY (plot_id, "from") ON CONFLICT ROLLBACK,
  CONSTRAINT in_order CHECK (until IS NULL OR until > [from])
) WITHOUT ROWID;
CREATE TABLE tool (code VARCHAR(8) PRIMARY KEY NOT NULL, label NVARCHAR(100) NOT NULL, price DECIMAL(6,2) CHECK (price >= 0),
  weight FLOAT, upper_label TEXT GENERATED ALWAYS AS (upper(label)) VIRTUAL, kept BLOB);
CREATE TABLE reading (taken TEXT NOT NULL, plot_id INT REFERENCES plot, wet REAL, PRIMARY KEY (taken, plot_id)) STRICT;
CREATE TABLE borrowed(tool_code VARCHAR(8) REFERENCES tool(code) DEFERRABLE INITIALLY DEFERRED, member_no INT REFERENCES gardener(member_no), "when" DATETIME DEFAULT CURRENT_TIMESTAMP, PRIMARY KEY(tool_code, member_no, "when"));
CREATE INDEX lease_by_member ON lease(member_no);
CREATE UNIQUE INDEX open_lease ON lease(plot_id) WHERE until IS NULL;
CREATE INDEX tool_label ON tool(label COLLATE NOCASE DESC, price);
CREATE VIEW free AS SELECT * FROM plot;
CREATE TRIGGER keep AFTER DELETE ON gardener BEGIN
  DELETE FROM lease WHERE member_no = old.member_no;
  SELECT CASE WHEN 1 THEN 2 END;
END;
ALTER TABLE gardener ADD COLUMN phone TEXT DEFAULT '';
ALTER TABLE gardener RENAME COLUMN since TO joined;
DELETE FROM sqlite_sequence;
INSERT INTO sqlite_sequence VALUES('plot',1);
COMMIT;
