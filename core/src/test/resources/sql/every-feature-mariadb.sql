-- Not in MariaDB: definitions that are taken back when one fails. Where a statement is refused, those before it stay.
-- Not in MariaDB: texts compared letter by letter. Texts that differ only in letter case or accents are the same to keys and rules, unless the database compares otherwise.

SET time_zone = '+00:00';

CREATE SCHEMA IF NOT EXISTS shop DEFAULT CHARACTER SET utf8mb4;
CREATE SCHEMA IF NOT EXISTS store DEFAULT CHARACTER SET utf8mb4;

-- Not in MariaDB: named types. weight_kg: what it holds, its check and its default stand with each column of it.
CREATE TABLE branch (
  code   varchar(4) NOT NULL,
  opened time       DEFAULT (current_time) NOT NULL,
  closes time,
  CONSTRAINT branch_key
    PRIMARY KEY (code),
  CONSTRAINT branch_closes_check
    CHECK (closes <= '18:00:00')
) COMMENT='Where members meet.';

CREATE TABLE clerk (
  branch_code varchar(4)  NOT NULL,
  clerk_no    smallint    NOT NULL,
  name        varchar(40) NOT NULL,
  CONSTRAINT clerk_key
    PRIMARY KEY (branch_code, clerk_no),
  CONSTRAINT clerk_works_at_branch
    FOREIGN KEY (branch_code)
    REFERENCES branch (code)
);

CREATE TABLE desk (
  desk_no     smallint   NOT NULL,
  branch_code varchar(4) NOT NULL,
  clerk_no    smallint   NOT NULL,
  CONSTRAINT desk_key
    PRIMARY KEY (desk_no),
  CONSTRAINT desk_stands_at_branch
    FOREIGN KEY (branch_code)
    REFERENCES branch (code),
  CONSTRAINT desk_is_run_by_clerk
    FOREIGN KEY (branch_code, clerk_no)
    REFERENCES clerk (branch_code, clerk_no)
);

-- Not in MariaDB: types of any size. member.seen_at: it holds nothing before 1970-01-01 00:00:01 nor after 2038-01-19 03:14:07.
-- Not in MariaDB: moments that keep their time zone. member.seen_at: the moment is kept, and shown in the zone of whoever asks.
CREATE TABLE member (
  member_no    integer     AUTO_INCREMENT NOT NULL,
  name         varchar(60) NOT NULL,
  born_on      date,
  joined_at    datetime    DEFAULT current_timestamp NOT NULL,
  seen_at      timestamp   DEFAULT current_timestamp NOT NULL,
  card         uuid        DEFAULT (uuid()) NOT NULL,
  member_since smallint    DEFAULT (extract(year from current_date)) NOT NULL,
  active       boolean     DEFAULT TRUE NOT NULL,
  buddy_no     integer,
  CONSTRAINT member_key
    PRIMARY KEY (member_no),
  CONSTRAINT member_name_unique
    UNIQUE (name),
  CONSTRAINT member_card_unique
    UNIQUE (card),
  CONSTRAINT member_is_looked_after_by_buddy
    FOREIGN KEY (buddy_no)
    REFERENCES member (member_no)
);

CREATE TABLE course (
  title varchar(60)  NOT NULL,
  fee   decimal(8,2) NOT NULL,
  CONSTRAINT course_key
    PRIMARY KEY (title),
  CONSTRAINT course_fee_check
    CHECK (fee >= 0)
);

CREATE TABLE store.shelf (
  row_letter varchar(1) NOT NULL,
  shelf_no   smallint   NOT NULL,
  CONSTRAINT shelf_key
    PRIMARY KEY (row_letter, shelf_no)
);

-- Not in MariaDB: numbering by a chosen step. tool.tool_no: it goes on by 1, not by 10.
-- Not in MariaDB: types of any size. tool.long_text: at most 16383 characters can be asked for, so that it is longtext and longer ones than 20000000 are taken too.
-- Not in MariaDB: types of any size. tool.huge: at most 65 digits can be asked for, so that decimal 2000,0 is decimal(65,0).
-- Not in MariaDB: checks over columns that a foreign key changes. tool.tool_lies_on_shelf: that it is whole or empty is left to the application.
CREATE TABLE tool (
  tool_no          integer        AUTO_INCREMENT NOT NULL,
  stored_at        varchar(20)    DEFAULT 'shed' NOT NULL,
  `LabelText`      varchar(30)    NOT NULL COLLATE utf8mb4_bin COMMENT 'As it''s painted on; "big" letters',
  maker            varchar(20)    NOT NULL,
  model            varchar(20)    NOT NULL,
  full_name        varchar(60) GENERATED ALWAYS AS (concat(concat(upper(maker), ' '), model)) STORED,
  serial           bigint         NOT NULL,
  state            enum('good', 'worn', 'broken, lost') DEFAULT 'good' NOT NULL,
  weight           decimal(6,2)   DEFAULT 1.00 NOT NULL
    CHECK (weight > 0),
  bought_in        date           DEFAULT (current_date),
  lent_from        date,
  lent_until       date,
  details          json,
  photo            varbinary(500),
  manual           longblob,
  note             longtext,
  long_text        longtext,
  huge             decimal(65,0),
  shelf_row_letter varchar(1),
  shelf_no         smallint,
  CONSTRAINT pk_tool
    PRIMARY KEY (tool_no),
  CONSTRAINT tool_serial_unique
    UNIQUE (serial),
  CONSTRAINT tool_lent_in_order
    CHECK (lent_from is null or lent_until is null or lent_until >= lent_from),
  CONSTRAINT tool_maker_check
    CHECK (char_length(maker) > 1 and lower(maker) <> 'none'),
  CONSTRAINT tool_label_form
    CHECK (`LabelText` regexp '^[A-Z]'),
  CHECK (full_name IS NOT NULL),
  CONSTRAINT tool_lies_on_shelf
    FOREIGN KEY (shelf_row_letter, shelf_no)
    REFERENCES store.shelf (row_letter, shelf_no) ON DELETE SET NULL
) ENGINE=InnoDB AUTO_INCREMENT=500 COMMENT='What members lend to each other.';

CREATE TABLE repair (
  repair_no   integer      NOT NULL,
  cost        decimal(8,2) NOT NULL,
  tool_serial bigint       NOT NULL,
  CONSTRAINT repair_key
    PRIMARY KEY (repair_no),
  CONSTRAINT fk_repair_tool
    FOREIGN KEY (tool_serial)
    REFERENCES tool (serial) ON DELETE RESTRICT ON UPDATE CASCADE
);

CREATE TABLE shop.shelf (
  shelf_no smallint NOT NULL,
  CONSTRAINT shelf_key
    PRIMARY KEY (shelf_no)
);

-- Not in MariaDB: numbering from a chosen start. loan.loan_no: it begins at 1, not at 0.
-- Not in MariaDB: SET DEFAULT. loan.loan_is_settled_by_member: on delete it is NO ACTION.
CREATE TABLE loan (
  loan_no            integer AUTO_INCREMENT NOT NULL,
  due_on             date    DEFAULT (current_date) NOT NULL,
  taken_by_member_no integer NOT NULL,
  settled_by         integer DEFAULT 1 COMMENT 'Who took it back',
  CONSTRAINT loan_key
    PRIMARY KEY (loan_no),
  CONSTRAINT loan_is_taken_by_member
    FOREIGN KEY (taken_by_member_no)
    REFERENCES member (member_no),
  CONSTRAINT loan_is_settled_by_member
    FOREIGN KEY (settled_by)
    REFERENCES member (member_no)
);

-- The default of hardy of Plant fills it in rows of other kinds too, where nothing is given.
-- Not in MariaDB: numbering by a chosen step. living_thing.thing_no: it goes on by 1, not by -10.
CREATE TABLE living_thing (
  thing_no   integer     AUTO_INCREMENT NOT NULL,
  name       varchar(40) NOT NULL,
  kind       varchar(12) NOT NULL,
  latin_name varchar(40),
  variety    varchar(40),
  height_cm  integer,
  hardy      boolean     DEFAULT TRUE,
  trunk_cm   integer,
  member_no  integer,
  CONSTRAINT living_thing_key
    PRIMARY KEY (thing_no),
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
) AUTO_INCREMENT=100;

-- Not in MariaDB: a default of another type than its column. reading.seen_by: the default current_date is left out.
CREATE TABLE reading (
  code     varchar(6) NOT NULL,
  xmin     integer    NOT NULL,
  taken_on date       NOT NULL,
  seen_by  integer    NOT NULL,
  CONSTRAINT reading_key
    PRIMARY KEY (code),
  CONSTRAINT reading_taken_on_code_check
    CHECK (year(taken_on) >= 1990 and substring(code, 1, 1) = 'R')
);

CREATE TABLE ticket (
  ticket_no integer NOT NULL,
  CONSTRAINT ticket_key
    PRIMARY KEY (ticket_no)
);

CREATE TABLE badge (
  ticket_no integer     NOT NULL,
  colour    varchar(20) NOT NULL,
  CONSTRAINT badge_key
    PRIMARY KEY (ticket_no),
  CONSTRAINT badge_is_ticket
    FOREIGN KEY (ticket_no)
    REFERENCES ticket (ticket_no)
);

CREATE TABLE enrolment (
  member_no    integer     NOT NULL,
  course_title varchar(60) NOT NULL,
  `from`       date        NOT NULL,
  until        date,
  CONSTRAINT enrolment_key
    PRIMARY KEY (member_no, course_title, `from`),
  CONSTRAINT enrolment_member_no_course_title_unique
    UNIQUE (member_no, course_title),
  CONSTRAINT enrolment_of_member
    FOREIGN KEY (member_no)
    REFERENCES member (member_no) ON DELETE CASCADE,
  CONSTRAINT enrolment_of_course
    FOREIGN KEY (course_title)
    REFERENCES course (title)
);

-- Not in MariaDB: constraints checked at the end of a transaction. ledger.ledger_is_kept_in_cash_box: rows that must refer to each other in a circle go in only while it is not there.
CREATE TABLE ledger (
  ledger_no       bigint  AUTO_INCREMENT NOT NULL,
  cash_box_box_no integer NOT NULL,
  CONSTRAINT ledger_key
    PRIMARY KEY (ledger_no)
) AUTO_INCREMENT=5000000000;

-- Not in MariaDB: numbering from a chosen start. cash_box.box_no: it begins at 1, not at -5.
CREATE TABLE cash_box (
  box_no    integer AUTO_INCREMENT NOT NULL,
  countdown integer NOT NULL,
  ledger_no bigint  NOT NULL,
  CONSTRAINT cash_box_key
    PRIMARY KEY (box_no),
  CONSTRAINT cash_box_is_opened_by_ledger
    FOREIGN KEY (ledger_no)
    REFERENCES ledger (ledger_no)
);

ALTER TABLE ledger ADD CONSTRAINT ledger_is_kept_in_cash_box
  FOREIGN KEY (cash_box_box_no)
  REFERENCES cash_box (box_no);

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

START TRANSACTION;

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
INSERT INTO store.shelf (row_letter, shelf_no)
  VALUES ('A', 1);
INSERT INTO store.shelf (row_letter, shelf_no)
  VALUES ('A', 2);
INSERT INTO tool (tool_no, stored_at, `LabelText`, maker, model, serial, state, weight, lent_from, lent_until, details, photo, manual, note, long_text, huge, shelf_row_letter, shelf_no)
  VALUES (500, 'shed', 'SMOKER', 'Birch', 'S1', 8000000001, 'good', 2.50, '2027-01-01', '2027-02-01', '{"size":2}', X'0aff', NULL, NULL, NULL, NULL, 'A', 1);
INSERT INTO tool (tool_no, stored_at, `LabelText`, maker, model, serial, state, weight, lent_from, lent_until, details, photo, manual, note, long_text, huge, shelf_row_letter, shelf_no)
  VALUES (510, 'shed', 'Hive tool', 'Birch', 'T2', 8000000002, 'worn', 1.00, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL);
INSERT INTO repair (repair_no, cost, tool_serial)
  VALUES (1, 3.50, 8000000001);
INSERT INTO living_thing (thing_no, name, kind, latin_name, variety, height_cm, hardy, trunk_cm, member_no)
  VALUES (100, 'Lime', 'Tree', 'Tilia', 'cordata', 3000, TRUE, 80, 1);
INSERT INTO living_thing (thing_no, name, kind, latin_name, variety, height_cm, hardy, trunk_cm, member_no)
  VALUES (90, 'Heather', 'Plant', 'Calluna', 'vulgaris', 60, TRUE, NULL, 2);
INSERT INTO living_thing (thing_no, name, kind, latin_name, variety, height_cm, hardy, trunk_cm, member_no)
  VALUES (80, 'Varroa', 'Living thing', NULL, NULL, NULL, TRUE, NULL, NULL);
INSERT INTO enrolment (member_no, course_title, `from`, until)
  VALUES (1, 'Queens', '2027-03-01', NULL);

COMMIT;
