-- Not in SQL Server: texts compared letter by letter. Texts that differ only in letter case are the same to keys and rules, unless the database compares otherwise.

SET XACT_ABORT ON;

BEGIN TRANSACTION;

IF SCHEMA_ID(N'shop') IS NULL EXEC(N'CREATE SCHEMA [shop]');
IF SCHEMA_ID(N'store') IS NULL EXEC(N'CREATE SCHEMA [store]');

-- Not in SQL Server: named types. weight_kg: what it holds, its check and its default stand with each column of it.
CREATE TABLE branch (
  code   nvarchar(4) NOT NULL,
  opened time(0)     DEFAULT cast(sysdatetime() as time(0)) NOT NULL,
  closes time(0),
  CONSTRAINT branch_key
    PRIMARY KEY (code),
  CONSTRAINT branch_closes_check
    CHECK (closes <= '18:00:00')
);

CREATE TABLE clerk (
  branch_code nvarchar(4)  NOT NULL,
  clerk_no    smallint     NOT NULL,
  name        nvarchar(40) NOT NULL,
  CONSTRAINT clerk_key
    PRIMARY KEY (branch_code, clerk_no),
  CONSTRAINT clerk_works_at_branch
    FOREIGN KEY (branch_code)
    REFERENCES branch (code)
);

CREATE TABLE desk (
  desk_no     smallint    NOT NULL,
  branch_code nvarchar(4) NOT NULL,
  clerk_no    smallint    NOT NULL,
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
  member_no    int               IDENTITY(1, 1) NOT NULL,
  name         nvarchar(60)      NOT NULL,
  born_on      date,
  joined_at    datetime2(0)      DEFAULT sysdatetime() NOT NULL,
  seen_at      datetimeoffset(0) DEFAULT sysdatetimeoffset() NOT NULL,
  card         uniqueidentifier  DEFAULT newid() NOT NULL,
  member_since smallint          DEFAULT year(sysdatetime()) NOT NULL,
  active       bit               DEFAULT 1 NOT NULL,
  buddy_no     int,
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
  title nvarchar(60) NOT NULL,
  fee   decimal(8,2) NOT NULL,
  CONSTRAINT course_key
    PRIMARY KEY (title),
  CONSTRAINT course_fee_check
    CHECK (fee >= 0)
);

CREATE TABLE store.shelf (
  row_letter nvarchar(1) NOT NULL,
  shelf_no   smallint    NOT NULL,
  CONSTRAINT shelf_key
    PRIMARY KEY (row_letter, shelf_no)
);

-- Not in SQL Server: types of any size. tool.long_text: at most 4000 characters can be asked for, so that it is nvarchar(max) and longer ones than 20000000 are taken too.
-- Not in SQL Server: types of any size. tool.huge: at most 38 digits can be asked for, so that decimal 2000,0 is decimal(38,0).
-- Not in SQL Server: expressions of another dialect. tool.tool_label_form: it is left out, as this is written for mysql: {LabelText} regexp '^[A-Z]'.
CREATE TABLE tool (
  tool_no          int            IDENTITY(500, 10) NOT NULL,
  stored_at        nvarchar(20)   DEFAULT N'shed' NOT NULL,
  [LabelText]      nvarchar(30)   NOT NULL,
  maker            nvarchar(20)   NOT NULL,
  model            nvarchar(20)   NOT NULL,
  full_name        AS (upper(maker) + N' ' + model) PERSISTED NOT NULL,
  serial           bigint         NOT NULL,
  state            nvarchar(12)   DEFAULT N'good' NOT NULL
    CHECK (state IN (N'good', N'worn', N'broken, lost')),
  weight           decimal(6,2)   DEFAULT 1.00 NOT NULL
    CHECK (weight > 0),
  bought_in        date           DEFAULT cast(sysdatetime() as date),
  lent_from        date,
  lent_until       date,
  details          nvarchar(max)
    CHECK (ISJSON(details) = 1),
  photo            varbinary(500),
  manual           varbinary(max),
  note             nvarchar(max),
  long_text        nvarchar(max),
  huge             decimal(38,0),
  shelf_row_letter nvarchar(1),
  shelf_no         smallint,
  CONSTRAINT pk_tool
    PRIMARY KEY (tool_no),
  CONSTRAINT tool_serial_unique
    UNIQUE (serial),
  CONSTRAINT tool_lent_in_order
    CHECK (lent_from is null or lent_until is null or lent_until >= lent_from),
  CONSTRAINT tool_maker_check
    CHECK ((len(maker + N'.') - 1) > 1 and lower(maker) <> N'none'),
  CONSTRAINT tool_lies_on_shelf
    FOREIGN KEY (shelf_row_letter, shelf_no)
    REFERENCES store.shelf (row_letter, shelf_no) ON DELETE SET NULL,
  CHECK (shelf_row_letter IS NULL AND shelf_no IS NULL OR shelf_row_letter IS NOT NULL AND shelf_no IS NOT NULL)
);

-- Not in SQL Server: RESTRICT. repair.fk_repair_tool: on delete it is NO ACTION.
CREATE TABLE repair (
  repair_no   int          NOT NULL,
  cost        decimal(8,2) NOT NULL,
  tool_serial bigint       NOT NULL,
  CONSTRAINT repair_key
    PRIMARY KEY (repair_no),
  CONSTRAINT fk_repair_tool
    FOREIGN KEY (tool_serial)
    REFERENCES tool (serial) ON UPDATE CASCADE
);

CREATE TABLE shop.shelf (
  shelf_no smallint NOT NULL,
  CONSTRAINT shelf_key
    PRIMARY KEY (shelf_no)
);

CREATE TABLE loan (
  loan_no            int  IDENTITY(0, 1) NOT NULL,
  due_on             date DEFAULT cast(sysdatetime() as date) NOT NULL,
  taken_by_member_no int  NOT NULL,
  settled_by         int  DEFAULT 1,
  CONSTRAINT loan_key
    PRIMARY KEY (loan_no),
  CONSTRAINT loan_is_taken_by_member
    FOREIGN KEY (taken_by_member_no)
    REFERENCES member (member_no),
  CONSTRAINT loan_is_settled_by_member
    FOREIGN KEY (settled_by)
    REFERENCES member (member_no) ON DELETE SET DEFAULT
);

-- The default of hardy of Plant fills it in rows of other kinds too, where nothing is given.
-- Not in SQL Server: many rows that are empty in what is unique. living_thing.living_thing_latin_name_variety_unique: a unique index over the rows that are not empty in it stands for it.
CREATE TABLE living_thing (
  thing_no   int          IDENTITY(100, -10) NOT NULL,
  name       nvarchar(40) NOT NULL,
  kind       nvarchar(12) NOT NULL,
  latin_name nvarchar(40),
  variety    nvarchar(40),
  height_cm  int,
  hardy      bit          DEFAULT 1,
  trunk_cm   int,
  member_no  int,
  CONSTRAINT living_thing_key
    PRIMARY KEY (thing_no),
  CONSTRAINT living_thing_kind_check
    CHECK (kind in (N'Living thing', N'Plant', N'Tree')),
  CONSTRAINT living_thing_kind_latin_name_check
    CHECK (kind not in (N'Plant', N'Tree') or latin_name is not null),
  CONSTRAINT living_thing_kind_variety_check
    CHECK (kind not in (N'Plant', N'Tree') or variety is not null),
  CONSTRAINT living_thing_kind_height_cm_check
    CHECK (kind not in (N'Plant', N'Tree') or height_cm is not null),
  CONSTRAINT living_thing_kind_hardy_check
    CHECK (kind not in (N'Plant', N'Tree') or hardy is not null),
  CONSTRAINT living_thing_height_cm_check
    CHECK (height_cm < 5000),
  CONSTRAINT living_thing_kind_trunk_cm_check
    CHECK (kind <> N'Tree' or trunk_cm is not null),
  CONSTRAINT living_thing_kind_member_no_check
    CHECK (kind not in (N'Plant', N'Tree') or member_no is not null),
  CONSTRAINT living_thing_is_tended_by_member
    FOREIGN KEY (member_no)
    REFERENCES member (member_no)
);

-- Not in SQL Server: a default of another type than its column. reading.seen_by: the default current_date is left out.
CREATE TABLE reading (
  code     nvarchar(6) NOT NULL,
  xmin     int         NOT NULL,
  taken_on date        NOT NULL,
  seen_by  int         NOT NULL,
  CONSTRAINT reading_key
    PRIMARY KEY (code),
  CONSTRAINT reading_taken_on_code_check
    CHECK (year(taken_on) >= 1990 and substring(code, 1, 1) = N'R')
);

CREATE TABLE ticket (
  ticket_no int NOT NULL,
  CONSTRAINT ticket_key
    PRIMARY KEY (ticket_no)
);

CREATE TABLE badge (
  ticket_no int          NOT NULL,
  colour    nvarchar(20) NOT NULL,
  CONSTRAINT badge_key
    PRIMARY KEY (ticket_no),
  CONSTRAINT badge_is_ticket
    FOREIGN KEY (ticket_no)
    REFERENCES ticket (ticket_no)
);

CREATE TABLE enrolment (
  member_no    int          NOT NULL,
  course_title nvarchar(60) NOT NULL,
  [from]       date         NOT NULL,
  until        date,
  CONSTRAINT enrolment_key
    PRIMARY KEY (member_no, course_title, [from]),
  CONSTRAINT enrolment_member_no_course_title_unique
    UNIQUE (member_no, course_title),
  CONSTRAINT enrolment_of_member
    FOREIGN KEY (member_no)
    REFERENCES member (member_no) ON DELETE CASCADE,
  CONSTRAINT enrolment_of_course
    FOREIGN KEY (course_title)
    REFERENCES course (title)
);

-- Not in SQL Server: constraints checked at the end of a transaction. ledger.ledger_is_kept_in_cash_box: rows that must refer to each other in a circle go in only while it is not there.
CREATE TABLE ledger (
  ledger_no       bigint IDENTITY(5000000000, 1) NOT NULL,
  cash_box_box_no int    NOT NULL,
  CONSTRAINT ledger_key
    PRIMARY KEY (ledger_no)
);

CREATE TABLE cash_box (
  box_no    int    IDENTITY(-5, 1) NOT NULL,
  countdown int    NOT NULL,
  ledger_no bigint NOT NULL,
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
CREATE UNIQUE INDEX living_thing_latin_name_variety_unique ON living_thing (latin_name, variety) WHERE latin_name IS NOT NULL AND variety IS NOT NULL;
CREATE INDEX living_thing_member_no_index ON living_thing (member_no);
CREATE INDEX enrolment_course_title_index ON enrolment (course_title);
CREATE INDEX ledger_cash_box_box_no_index ON ledger (cash_box_box_no);
CREATE INDEX cash_box_ledger_no_index ON cash_box (ledger_no);

EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'Where members meet.', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'branch';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'What members lend to each other.', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'tool';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'As it''s painted on; "big" letters', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'tool', @level2type = N'COLUMN', @level2name = N'LabelText';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'Who took it back', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'loan', @level2type = N'COLUMN', @level2name = N'settled_by';

INSERT INTO branch (code, opened, closes)
  VALUES (N'N', '08:30:00', NULL);
INSERT INTO branch (code, opened, closes)
  VALUES (N'S', '09:00:00', NULL);
INSERT INTO clerk (branch_code, clerk_no, name)
  VALUES (N'N', 1, N'Ada');
INSERT INTO clerk (branch_code, clerk_no, name)
  VALUES (N'S', 1, N'Bo');
INSERT INTO desk (desk_no, branch_code, clerk_no)
  VALUES (1, N'N', 1);
INSERT INTO desk (desk_no, branch_code, clerk_no)
  VALUES (2, N'S', 1);
SET IDENTITY_INSERT member ON;
INSERT INTO member (member_no, name, born_on, card, active, buddy_no)
  VALUES (1, N'Ash', '1980-02-03', 'a048dbac-6061-382c-9064-dfe45cfa1c9f', 1, NULL);
INSERT INTO member (member_no, name, born_on, card, active, buddy_no)
  VALUES (2, N'Elm', '1991-11-30', 'd4521436-8c4c-3198-ae63-2f407a53782e', 1, 1);
SET IDENTITY_INSERT member OFF;
INSERT INTO course (title, fee)
  VALUES (N'Queens', 12.50);
INSERT INTO course (title, fee)
  VALUES (N'Wax', 0.00);
INSERT INTO store.shelf (row_letter, shelf_no)
  VALUES (N'A', 1);
INSERT INTO store.shelf (row_letter, shelf_no)
  VALUES (N'A', 2);
SET IDENTITY_INSERT tool ON;
INSERT INTO tool (tool_no, stored_at, [LabelText], maker, model, serial, state, weight, lent_from, lent_until, details, photo, manual, note, long_text, huge, shelf_row_letter, shelf_no)
  VALUES (500, N'shed', N'SMOKER', N'Birch', N'S1', 8000000001, N'good', 2.50, '2027-01-01', '2027-02-01', N'{"size":2}', 0x0aff, NULL, NULL, NULL, NULL, N'A', 1);
INSERT INTO tool (tool_no, stored_at, [LabelText], maker, model, serial, state, weight, lent_from, lent_until, details, photo, manual, note, long_text, huge, shelf_row_letter, shelf_no)
  VALUES (510, N'shed', N'Hive tool', N'Birch', N'T2', 8000000002, N'worn', 1.00, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL);
SET IDENTITY_INSERT tool OFF;
INSERT INTO repair (repair_no, cost, tool_serial)
  VALUES (1, 3.50, 8000000001);
SET IDENTITY_INSERT living_thing ON;
INSERT INTO living_thing (thing_no, name, kind, latin_name, variety, height_cm, hardy, trunk_cm, member_no)
  VALUES (100, N'Lime', N'Tree', N'Tilia', N'cordata', 3000, 1, 80, 1);
INSERT INTO living_thing (thing_no, name, kind, latin_name, variety, height_cm, hardy, trunk_cm, member_no)
  VALUES (90, N'Heather', N'Plant', N'Calluna', N'vulgaris', 60, 1, NULL, 2);
INSERT INTO living_thing (thing_no, name, kind, latin_name, variety, height_cm, hardy, trunk_cm, member_no)
  VALUES (80, N'Varroa', N'Living thing', NULL, NULL, NULL, 1, NULL, NULL);
SET IDENTITY_INSERT living_thing OFF;
INSERT INTO enrolment (member_no, course_title, [from], until)
  VALUES (1, N'Queens', '2027-03-01', NULL);
DBCC CHECKIDENT ('member', RESEED, 2);
DBCC CHECKIDENT ('tool', RESEED, 510);
DBCC CHECKIDENT ('living_thing', RESEED, 80);

COMMIT;
