PRAGMA foreign_keys = ON;

BEGIN;

-- Not in SQLite: schemas within a database. The tables of shop stand beside the others.
-- Not in SQLite: schemas within a database. The tables of store stand beside the others.
-- Not in SQLite: named types. weight_kg: what it holds, its check and its default stand with each column of it.
-- branch: Where members meet.
CREATE TABLE branch (
  code   varchar(4) NOT NULL
    CHECK (length(code) <= 4),
  opened time       DEFAULT current_time NOT NULL
    CHECK (opened IS time(opened)),
  closes time
    CHECK (closes IS time(closes)),
  CONSTRAINT branch_key
    PRIMARY KEY (code),
  CONSTRAINT branch_closes_check
    CHECK (closes <= '18:00:00')
);

CREATE TABLE clerk (
  branch_code varchar(4)  NOT NULL
    CHECK (length(branch_code) <= 4),
  clerk_no    integer     NOT NULL
    CHECK (typeof(clerk_no) = 'integer' AND clerk_no BETWEEN -32768 AND 32767),
  name        varchar(40) NOT NULL
    CHECK (length(name) <= 40),
  CONSTRAINT clerk_key
    PRIMARY KEY (branch_code, clerk_no),
  CONSTRAINT clerk_works_at_branch
    FOREIGN KEY (branch_code)
    REFERENCES branch (code)
);

CREATE TABLE desk (
  desk_no     int        NOT NULL
    CHECK (typeof(desk_no) = 'integer' AND desk_no BETWEEN -32768 AND 32767),
  branch_code varchar(4) NOT NULL
    CHECK (length(branch_code) <= 4),
  clerk_no    integer    NOT NULL
    CHECK (typeof(clerk_no) = 'integer' AND clerk_no BETWEEN -32768 AND 32767),
  CONSTRAINT desk_key
    PRIMARY KEY (desk_no),
  CONSTRAINT desk_stands_at_branch
    FOREIGN KEY (branch_code)
    REFERENCES branch (code),
  CONSTRAINT desk_is_run_by_clerk
    FOREIGN KEY (branch_code, clerk_no)
    REFERENCES clerk (branch_code, clerk_no)
);

CREATE TABLE member (
  member_no    integer                  NOT NULL CONSTRAINT member_key PRIMARY KEY AUTOINCREMENT,
  name         varchar(60)              NOT NULL
    CHECK (length(name) <= 60),
  born_on      date
    CHECK (born_on IS date(born_on)),
  joined_at    timestamp                DEFAULT current_timestamp NOT NULL
    CHECK (joined_at IS datetime(joined_at)),
  seen_at      timestamp with time zone DEFAULT (strftime('%Y-%m-%d %H:%M:%S+00:00', 'now')) NOT NULL
    CHECK (seen_at IS NULL OR datetime(seen_at) IS NOT NULL AND seen_at GLOB '????-??-?? ??:??:??[+-]??:??'),
  card         char(36)                 DEFAULT (lower(hex(randomblob(4)) || '-' || hex(randomblob(2)) || '-4' || substr(hex(randomblob(2)), 2) || '-' || substr('89ab', abs(random() % 4) + 1, 1) || substr(hex(randomblob(2)), 2) || '-' || hex(randomblob(6)))) NOT NULL
    CHECK (card GLOB '????????-????-????-????-????????????' AND length(replace(card, '-', '')) = 32 AND card NOT GLOB '*[^0-9a-fA-F-]*'),
  member_since integer                  DEFAULT (cast(strftime('%Y', 'now') as integer)) NOT NULL
    CHECK (typeof(member_since) = 'integer' AND member_since BETWEEN 1 AND 9999),
  active       boolean                  DEFAULT TRUE NOT NULL
    CHECK (active IN (0, 1)),
  buddy_no     integer
    CHECK (typeof(buddy_no) IN ('integer', 'null') AND buddy_no BETWEEN -2147483648 AND 2147483647),
  CONSTRAINT member_name_unique
    UNIQUE (name),
  CONSTRAINT member_card_unique
    UNIQUE (card),
  CONSTRAINT member_is_looked_after_by_buddy
    FOREIGN KEY (buddy_no)
    REFERENCES member (member_no)
);

CREATE TABLE course (
  title varchar(60)  NOT NULL
    CHECK (length(title) <= 60),
  fee   decimal(8,2) NOT NULL
    CHECK (typeof(fee) IN ('integer', 'real') AND fee = round(fee, 2) AND abs(fee) < 1000000),
  CONSTRAINT course_key
    PRIMARY KEY (title),
  CONSTRAINT course_fee_check
    CHECK (fee >= 0)
);

CREATE TABLE shelf (
  row_letter varchar(1) NOT NULL
    CHECK (length(row_letter) <= 1),
  shelf_no   integer    NOT NULL
    CHECK (typeof(shelf_no) = 'integer' AND shelf_no BETWEEN -32768 AND 32767),
  CONSTRAINT shelf_key
    PRIMARY KEY (row_letter, shelf_no)
);

-- tool: What members lend to each other.
-- Not in SQLite: numbering by a chosen step. tool.tool_no: it goes on by 1, not by 10.
-- Not in SQLite: expressions of another dialect. tool.tool_label_form: it is left out, as this is written for mysql: {LabelText} regexp '^[A-Z]'.
CREATE TABLE tool (
  tool_no          integer           NOT NULL CONSTRAINT pk_tool PRIMARY KEY AUTOINCREMENT,
  stored_at        varchar(20)       DEFAULT 'shed' NOT NULL
    CHECK (length(stored_at) <= 20),
  -- As it's painted on; "big" letters
  "LabelText"      varchar(30)       NOT NULL
    CHECK (length("LabelText") <= 30),
  maker            varchar(20)       NOT NULL
    CHECK (length(maker) <= 20),
  model            varchar(20)       NOT NULL
    CHECK (length(model) <= 20),
  full_name        varchar(60) GENERATED ALWAYS AS (upper(maker) || ' ' || model) STORED NOT NULL,
  serial           integer           NOT NULL
    CHECK (typeof(serial) = 'integer'),
  state            varchar(12)       DEFAULT 'good' NOT NULL
    CHECK (state IN ('good', 'worn', 'broken, lost')),
  weight           decimal(6,2)      DEFAULT 1.00 NOT NULL
    CHECK (typeof(weight) IN ('integer', 'real') AND weight = round(weight, 2) AND abs(weight) < 10000)
    CHECK (weight > 0),
  bought_in        date              DEFAULT current_date
    CHECK (bought_in IS date(bought_in)),
  lent_from        date
    CHECK (lent_from IS date(lent_from)),
  lent_until       date
    CHECK (lent_until IS date(lent_until)),
  details          text
    CHECK (json_valid(details)),
  photo            blob
    CHECK (typeof(photo) IN ('blob', 'null') AND length(photo) <= 500),
  manual           blob
    CHECK (typeof(manual) IN ('blob', 'null')),
  note             text,
  long_text        varchar(20000000)
    CHECK (length(long_text) <= 20000000),
  huge             decimal(2000,0)
    CHECK (typeof(huge) IN ('integer', 'null') AND abs(huge) < 1e300),
  shelf_row_letter varchar(1)
    CHECK (length(shelf_row_letter) <= 1),
  shelf_no         integer
    CHECK (typeof(shelf_no) IN ('integer', 'null') AND shelf_no BETWEEN -32768 AND 32767),
  CONSTRAINT tool_serial_unique
    UNIQUE (serial),
  CONSTRAINT tool_lent_in_order
    CHECK (lent_from is null or lent_until is null or lent_until >= lent_from),
  CONSTRAINT tool_maker_check
    CHECK (length(maker) > 1 and lower(maker) <> 'none'),
  CHECK (length(full_name) <= 60),
  CONSTRAINT tool_lies_on_shelf
    FOREIGN KEY (shelf_row_letter, shelf_no)
    REFERENCES shelf (row_letter, shelf_no) ON DELETE SET NULL,
  CHECK (shelf_row_letter IS NULL AND shelf_no IS NULL OR shelf_row_letter IS NOT NULL AND shelf_no IS NOT NULL)
);

CREATE TABLE repair (
  repair_no   int          NOT NULL
    CHECK (typeof(repair_no) = 'integer' AND repair_no BETWEEN -2147483648 AND 2147483647),
  cost        decimal(8,2) NOT NULL
    CHECK (typeof(cost) IN ('integer', 'real') AND cost = round(cost, 2) AND abs(cost) < 1000000),
  tool_serial integer      NOT NULL
    CHECK (typeof(tool_serial) = 'integer'),
  CONSTRAINT repair_key
    PRIMARY KEY (repair_no),
  CONSTRAINT fk_repair_tool
    FOREIGN KEY (tool_serial)
    REFERENCES tool (serial) ON DELETE RESTRICT ON UPDATE CASCADE
);

CREATE TABLE shop_shelf (
  shelf_no int NOT NULL
    CHECK (typeof(shelf_no) = 'integer' AND shelf_no BETWEEN -32768 AND 32767),
  CONSTRAINT shelf_key
    PRIMARY KEY (shelf_no)
);

-- Not in SQLite: numbering from a chosen start. loan.loan_no: it begins at 1, not at 0.
CREATE TABLE loan (
  loan_no            integer NOT NULL CONSTRAINT loan_key PRIMARY KEY AUTOINCREMENT,
  due_on             date    DEFAULT current_date NOT NULL
    CHECK (due_on IS date(due_on)),
  taken_by_member_no integer NOT NULL
    CHECK (typeof(taken_by_member_no) = 'integer' AND taken_by_member_no BETWEEN -2147483648 AND 2147483647),
  -- Who took it back
  settled_by         integer DEFAULT 1
    CHECK (typeof(settled_by) IN ('integer', 'null') AND settled_by BETWEEN -2147483648 AND 2147483647),
  CONSTRAINT loan_is_taken_by_member
    FOREIGN KEY (taken_by_member_no)
    REFERENCES member (member_no),
  CONSTRAINT loan_is_settled_by_member
    FOREIGN KEY (settled_by)
    REFERENCES member (member_no) ON DELETE SET DEFAULT
);

-- The default of hardy of Plant fills it in rows of other kinds too, where nothing is given.
-- Not in SQLite: numbering by a chosen step. living_thing.thing_no: it goes on by 1, not by -10.
CREATE TABLE living_thing (
  thing_no   integer     NOT NULL CONSTRAINT living_thing_key PRIMARY KEY AUTOINCREMENT,
  name       varchar(40) NOT NULL
    CHECK (length(name) <= 40),
  kind       varchar(12) NOT NULL
    CHECK (length(kind) <= 12),
  latin_name varchar(40)
    CHECK (length(latin_name) <= 40),
  variety    varchar(40)
    CHECK (length(variety) <= 40),
  height_cm  integer
    CHECK (typeof(height_cm) IN ('integer', 'null') AND height_cm BETWEEN -2147483648 AND 2147483647),
  hardy      boolean     DEFAULT TRUE
    CHECK (hardy IN (0, 1)),
  trunk_cm   integer
    CHECK (typeof(trunk_cm) IN ('integer', 'null') AND trunk_cm BETWEEN -2147483648 AND 2147483647),
  member_no  integer
    CHECK (typeof(member_no) IN ('integer', 'null') AND member_no BETWEEN -2147483648 AND 2147483647),
  CONSTRAINT living_thing_latin_name_variety_unique
    UNIQUE (latin_name, variety),
  CONSTRAINT living_thing_kind_check
    CHECK (kind in ('Living thing', 'Plant', 'Tree')),
  CONSTRAINT living_thing_kind_latin_name_check
    CHECK (kind not in ('Plant', 'Tree') or latin_name is not null),
  CONSTRAINT living_thing_kind_variety_check
    CHECK (kind not in ('Plant', 'Tree') or variety is not null),
  CONSTRAINT living_thing_kind_height_cm_check
    CHECK (kind not in ('Plant', 'Tree') or height_cm is not null),
  CONSTRAINT living_thing_kind_hardy_check
    CHECK (kind not in ('Plant', 'Tree') or hardy is not null),
  CONSTRAINT living_thing_height_cm_check
    CHECK (height_cm < 5000),
  CONSTRAINT living_thing_kind_trunk_cm_check
    CHECK (kind <> 'Tree' or trunk_cm is not null),
  CONSTRAINT living_thing_kind_member_no_check
    CHECK (kind not in ('Plant', 'Tree') or member_no is not null),
  CONSTRAINT living_thing_is_tended_by_member
    FOREIGN KEY (member_no)
    REFERENCES member (member_no)
);

-- Not in SQLite: a default of another type than its column. reading.seen_by: the default current_date is left out.
CREATE TABLE reading (
  code     varchar(6) NOT NULL
    CHECK (length(code) <= 6),
  xmin     integer    NOT NULL
    CHECK (typeof(xmin) = 'integer' AND xmin BETWEEN -2147483648 AND 2147483647),
  taken_on date       NOT NULL
    CHECK (taken_on IS date(taken_on)),
  seen_by  integer    NOT NULL
    CHECK (typeof(seen_by) = 'integer' AND seen_by BETWEEN -2147483648 AND 2147483647),
  CONSTRAINT reading_key
    PRIMARY KEY (code),
  CONSTRAINT reading_taken_on_code_check
    CHECK (cast(strftime('%Y', taken_on) as integer) >= 1990 and substr(code, 1, 1) = 'R')
);

CREATE TABLE ticket (
  ticket_no int NOT NULL
    CHECK (typeof(ticket_no) = 'integer' AND ticket_no BETWEEN -2147483648 AND 2147483647),
  CONSTRAINT ticket_key
    PRIMARY KEY (ticket_no)
);

CREATE TABLE badge (
  ticket_no int         NOT NULL
    CHECK (typeof(ticket_no) = 'integer' AND ticket_no BETWEEN -2147483648 AND 2147483647),
  colour    varchar(20) NOT NULL
    CHECK (length(colour) <= 20),
  CONSTRAINT badge_key
    PRIMARY KEY (ticket_no),
  CONSTRAINT badge_is_ticket
    FOREIGN KEY (ticket_no)
    REFERENCES ticket (ticket_no)
);

CREATE TABLE enrolment (
  member_no    integer     NOT NULL
    CHECK (typeof(member_no) = 'integer' AND member_no BETWEEN -2147483648 AND 2147483647),
  course_title varchar(60) NOT NULL
    CHECK (length(course_title) <= 60),
  "from"       date        NOT NULL
    CHECK ("from" IS date("from")),
  until        date
    CHECK (until IS date(until)),
  CONSTRAINT enrolment_key
    PRIMARY KEY (member_no, course_title, "from"),
  CONSTRAINT enrolment_member_no_course_title_unique
    UNIQUE (member_no, course_title),
  CONSTRAINT enrolment_of_member
    FOREIGN KEY (member_no)
    REFERENCES member (member_no) ON DELETE CASCADE,
  CONSTRAINT enrolment_of_course
    FOREIGN KEY (course_title)
    REFERENCES course (title)
);

CREATE TABLE ledger (
  ledger_no       integer NOT NULL CONSTRAINT ledger_key PRIMARY KEY AUTOINCREMENT,
  cash_box_box_no integer NOT NULL
    CHECK (typeof(cash_box_box_no) = 'integer' AND cash_box_box_no BETWEEN -2147483648 AND 2147483647),
  CONSTRAINT ledger_is_kept_in_cash_box
    FOREIGN KEY (cash_box_box_no)
    REFERENCES cash_box (box_no) DEFERRABLE INITIALLY DEFERRED
);

-- Not in SQLite: numbering from a chosen start. cash_box.box_no: it begins at 1, not at -5.
CREATE TABLE cash_box (
  box_no    integer NOT NULL CONSTRAINT cash_box_key PRIMARY KEY AUTOINCREMENT,
  countdown integer NOT NULL
    CHECK (typeof(countdown) = 'integer' AND countdown BETWEEN -2147483648 AND 2147483647),
  ledger_no integer NOT NULL
    CHECK (typeof(ledger_no) = 'integer'),
  CONSTRAINT cash_box_is_opened_by_ledger
    FOREIGN KEY (ledger_no)
    REFERENCES ledger (ledger_no)
);

CREATE INDEX desk_branch_code_index ON desk (branch_code);
CREATE INDEX desk_branch_code_clerk_no_index ON desk (branch_code, clerk_no);
CREATE INDEX member_buddy_no_index ON member (buddy_no);
CREATE INDEX tool_by_maker ON tool (maker, bought_in DESC);
CREATE UNIQUE INDEX tool_serial_index ON tool (serial);
CREATE INDEX tool_shelf_row_letter_shelf_no_index ON tool (shelf_row_letter, shelf_no);
CREATE INDEX ix_repair_tool ON repair (tool_serial);
CREATE INDEX loan_taken_by_member_no_index ON loan (taken_by_member_no);
CREATE INDEX loan_settled_by_index ON loan (settled_by);
CREATE INDEX living_thing_member_no_index ON living_thing (member_no);
CREATE INDEX enrolment_course_title_index ON enrolment (course_title);
CREATE INDEX ledger_cash_box_box_no_index ON ledger (cash_box_box_no);
CREATE INDEX cash_box_ledger_no_index ON cash_box (ledger_no);

INSERT INTO sqlite_sequence (name, seq) VALUES ('tool', 499);
INSERT INTO sqlite_sequence (name, seq) VALUES ('loan', -1);
INSERT INTO sqlite_sequence (name, seq) VALUES ('living_thing', 99);
INSERT INTO sqlite_sequence (name, seq) VALUES ('ledger', 4999999999);
INSERT INTO sqlite_sequence (name, seq) VALUES ('cash_box', -6);

INSERT INTO branch (code, opened, closes)
  VALUES ('N', '08:30:00', NULL);
INSERT INTO branch (code, opened, closes)
  VALUES ('S', '09:00:00', NULL);
INSERT INTO clerk (branch_code, clerk_no, name)
  VALUES ('N', 1, 'Ada');
INSERT INTO clerk (branch_code, clerk_no, name)
  VALUES ('S', 1, 'Bo');
INSERT INTO desk (desk_no, branch_code, clerk_no)
  VALUES (1, 'N', 1);
INSERT INTO desk (desk_no, branch_code, clerk_no)
  VALUES (2, 'S', 1);
INSERT INTO member (member_no, name, born_on, card, active, buddy_no)
  VALUES (1, 'Ash', '1980-02-03', 'a048dbac-6061-382c-9064-dfe45cfa1c9f', TRUE, NULL);
INSERT INTO member (member_no, name, born_on, card, active, buddy_no)
  VALUES (2, 'Elm', '1991-11-30', 'd4521436-8c4c-3198-ae63-2f407a53782e', TRUE, 1);
INSERT INTO course (title, fee)
  VALUES ('Queens', 12.50);
INSERT INTO course (title, fee)
  VALUES ('Wax', 0.00);
INSERT INTO shelf (row_letter, shelf_no)
  VALUES ('A', 1);
INSERT INTO shelf (row_letter, shelf_no)
  VALUES ('A', 2);
INSERT INTO tool (tool_no, stored_at, "LabelText", maker, model, serial, state, weight, lent_from, lent_until, details, photo, manual, note, long_text, huge, shelf_row_letter, shelf_no)
  VALUES (500, 'shed', 'SMOKER', 'Birch', 'S1', 8000000001, 'good', 2.50, '2027-01-01', '2027-02-01', '{"size":2}', x'0aff', NULL, NULL, NULL, NULL, 'A', 1);
INSERT INTO tool (tool_no, stored_at, "LabelText", maker, model, serial, state, weight, lent_from, lent_until, details, photo, manual, note, long_text, huge, shelf_row_letter, shelf_no)
  VALUES (510, 'shed', 'Hive tool', 'Birch', 'T2', 8000000002, 'worn', 1.00, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL);
INSERT INTO repair (repair_no, cost, tool_serial)
  VALUES (1, 3.50, 8000000001);
INSERT INTO living_thing (thing_no, name, kind, latin_name, variety, height_cm, hardy, trunk_cm, member_no)
  VALUES (100, 'Lime', 'Tree', 'Tilia', 'cordata', 3000, TRUE, 80, 1);
INSERT INTO living_thing (thing_no, name, kind, latin_name, variety, height_cm, hardy, trunk_cm, member_no)
  VALUES (90, 'Heather', 'Plant', 'Calluna', 'vulgaris', 60, TRUE, NULL, 2);
INSERT INTO living_thing (thing_no, name, kind, latin_name, variety, height_cm, hardy, trunk_cm, member_no)
  VALUES (80, 'Varroa', 'Living thing', NULL, NULL, NULL, TRUE, NULL, NULL);
INSERT INTO enrolment (member_no, course_title, "from", until)
  VALUES (1, 'Queens', '2027-03-01', NULL);

COMMIT;
