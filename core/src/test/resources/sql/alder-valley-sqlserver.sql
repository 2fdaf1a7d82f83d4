-- Not in SQL Server: texts compared letter by letter. Texts that differ only in letter case are the same to keys and rules, unless the database compares otherwise.
-- In the rows, stand-ins take the place of what is personal or secret: keeper.known_as, keeper.reached_at.

SET XACT_ABORT ON;

BEGIN TRANSACTION;

CREATE TABLE apiary (
  code       nvarchar(6)  NOT NULL,
  name       nvarchar(60) NOT NULL,
  altitude_m smallint,
  CONSTRAINT apiary_key
    PRIMARY KEY (code),
  CONSTRAINT apiary_name_unique
    UNIQUE (name),
  CONSTRAINT apiary_altitude_m_check
    CHECK (altitude_m between 0 and 3000)
);

CREATE TABLE queen (
  ring        nvarchar(8)  NOT NULL,
  hatched_in  smallint     NOT NULL,
  marked      nvarchar(20),
  mother_ring nvarchar(8),
  CONSTRAINT queen_key
    PRIMARY KEY (ring),
  CONSTRAINT queen_is_daughter_of_mother
    FOREIGN KEY (mother_ring)
    REFERENCES queen (ring)
);

-- Not in SQL Server: many rows that are empty in what is unique. hive.hive_queen_ring_unique: a unique index over the rows that are not empty in it stands for it.
CREATE TABLE hive (
  apiary_code nvarchar(6)  NOT NULL,
  stand_no    smallint     NOT NULL,
  type        nvarchar(20) NOT NULL,
  colour      nvarchar(20) DEFAULT N'white',
  set_up_on   date         NOT NULL,
  queen_ring  nvarchar(8),
  CONSTRAINT hive_key
    PRIMARY KEY (apiary_code, stand_no),
  CONSTRAINT hive_type_check
    CHECK (type in (N'national', N'langstroth', N'top bar', N'warre')),
  CONSTRAINT hive_set_up_on_check
    CHECK (set_up_on >= '1990-01-01'),
  CONSTRAINT hive_stand_no_check
    CHECK (stand_no > 0),
  CONSTRAINT hive_stands_in_apiary
    FOREIGN KEY (apiary_code)
    REFERENCES apiary (code),
  CONSTRAINT hive_is_headed_by_queen
    FOREIGN KEY (queen_ring)
    REFERENCES queen (ring) ON DELETE SET NULL
);

-- Not in SQL Server: many rows that are empty in what is unique. keeper.keeper_reached_at_unique: a unique index over the rows that are not empty in it stands for it.
CREATE TABLE keeper (
  keeper_no    int           IDENTITY(101, 1) NOT NULL,
  known_as     nvarchar(60)  NOT NULL,
  reached_at   nvarchar(120),
  first_season smallint      NOT NULL,
  mentor_no    int,
  CONSTRAINT keeper_key
    PRIMARY KEY (keeper_no),
  CONSTRAINT keeper_first_season_check
    CHECK (first_season between 1950 and 2100),
  CONSTRAINT keeper_is_mentored_by_mentor
    FOREIGN KEY (mentor_no)
    REFERENCES keeper (keeper_no)
);

CREATE TABLE inspection (
  id               uniqueidentifier DEFAULT newid() NOT NULL,
  done_at          datetime2(0)     NOT NULL,
  strength         smallint         NOT NULL,
  note             nvarchar(max),
  hive_apiary_code nvarchar(6)      NOT NULL,
  hive_stand_no    smallint         NOT NULL,
  keeper_no        int              NOT NULL,
  CONSTRAINT inspection_key
    PRIMARY KEY (id),
  CONSTRAINT inspection_hive_apiary_code_hive_stand_no_done_at_unique
    UNIQUE (hive_apiary_code, hive_stand_no, done_at),
  CONSTRAINT inspection_strength_check
    CHECK (strength between 1 and 10),
  CONSTRAINT inspection_is_of_hive
    FOREIGN KEY (hive_apiary_code, hive_stand_no)
    REFERENCES hive (apiary_code, stand_no),
  CONSTRAINT inspection_is_made_by_keeper
    FOREIGN KEY (keeper_no)
    REFERENCES keeper (keeper_no)
);

CREATE TABLE treatment (
  name      nvarchar(40) NOT NULL,
  agent     nvarchar(60) NOT NULL,
  wait_days smallint     DEFAULT 0 NOT NULL,
  CONSTRAINT treatment_key
    PRIMARY KEY (name),
  CONSTRAINT treatment_wait_days_check
    CHECK (wait_days >= 0)
);

CREATE TABLE batch (
  code      nvarchar(11) NOT NULL,
  filled_on date         NOT NULL,
  jars      smallint     NOT NULL,
  CONSTRAINT batch_key
    PRIMARY KEY (code),
  CONSTRAINT batch_jars_check
    CHECK (jars >= 0)
);

CREATE TABLE harvest (
  hive_apiary_code nvarchar(6)  NOT NULL,
  hive_stand_no    smallint     NOT NULL,
  taken_on         date         NOT NULL,
  weight_kg        decimal(6,2) NOT NULL,
  moisture         decimal(4,1),
  batch_code       nvarchar(11),
  CONSTRAINT harvest_key
    PRIMARY KEY (hive_apiary_code, hive_stand_no, taken_on),
  CONSTRAINT harvest_weight_kg_check
    CHECK (weight_kg > 0),
  CONSTRAINT harvest_moisture_check
    CHECK (moisture between 10 and 30),
  CONSTRAINT harvest_is_taken_from_hive
    FOREIGN KEY (hive_apiary_code, hive_stand_no)
    REFERENCES hive (apiary_code, stand_no),
  CONSTRAINT harvest_goes_into_batch
    FOREIGN KEY (batch_code)
    REFERENCES batch (code)
);

-- Not in SQL Server: many rows that are empty in what is unique. forage_plant.forage_plant_latin_name_unique: a unique index over the rows that are not empty in it stands for it.
CREATE TABLE forage_plant (
  name       nvarchar(40) NOT NULL,
  latin_name nvarchar(60),
  CONSTRAINT forage_plant_key
    PRIMARY KEY (name)
);

CREATE TABLE application (
  inspection_id  uniqueidentifier NOT NULL,
  treatment_name nvarchar(40)     NOT NULL,
  dose_ml        decimal(5,1)     NOT NULL,
  CONSTRAINT application_key
    PRIMARY KEY (inspection_id, treatment_name),
  CONSTRAINT application_dose_ml_check
    CHECK (dose_ml > 0),
  CONSTRAINT application_of_inspection
    FOREIGN KEY (inspection_id)
    REFERENCES inspection (id),
  CONSTRAINT application_of_treatment
    FOREIGN KEY (treatment_name)
    REFERENCES treatment (name)
);

CREATE TABLE forage (
  apiary_code       nvarchar(6)  NOT NULL,
  forage_plant_name nvarchar(40) NOT NULL,
  month             smallint     NOT NULL,
  CONSTRAINT forage_key
    PRIMARY KEY (apiary_code, forage_plant_name, month),
  CONSTRAINT forage_month_check
    CHECK (month between 1 and 12),
  CONSTRAINT forage_of_apiary
    FOREIGN KEY (apiary_code)
    REFERENCES apiary (code),
  CONSTRAINT forage_of_forage_plant
    FOREIGN KEY (forage_plant_name)
    REFERENCES forage_plant (name)
);

CREATE INDEX queen_mother_ring_index ON queen (mother_ring);
CREATE UNIQUE INDEX hive_queen_ring_unique ON hive (queen_ring) WHERE queen_ring IS NOT NULL;
CREATE UNIQUE INDEX keeper_reached_at_unique ON keeper (reached_at) WHERE reached_at IS NOT NULL;
CREATE INDEX keeper_mentor_no_index ON keeper (mentor_no);
CREATE INDEX inspection_keeper_no_index ON inspection (keeper_no);
CREATE INDEX harvest_batch_code_index ON harvest (batch_code);
CREATE UNIQUE INDEX forage_plant_latin_name_unique ON forage_plant (latin_name) WHERE latin_name IS NOT NULL;
CREATE INDEX application_treatment_name_index ON application (treatment_name);
CREATE INDEX forage_forage_plant_name_index ON forage (forage_plant_name);

EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'A place where hives stand, with the consent of its owner.', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'apiary';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'A mated queen with a ring of her own.', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'queen';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'One colony in its boxes on a numbered stand.', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'hive';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'A member who looks after hives, alone or with a mentor.', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'keeper';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'E-mail address or telephone number', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'keeper', @level2type = N'COLUMN', @level2name = N'reached_at';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'One look into one hive, noted on a phone, often without reception.', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'inspection';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'A means against mites and diseases, as it stands in the register.', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'treatment';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'Honey of one filling; its code is printed on the jars.', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'batch';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'AV-year-number', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'batch', @level2type = N'COLUMN', @level2name = N'code';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'Honey taken from one hive on one day.', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'harvest';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'A plant that bees visit for nectar or pollen.', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'forage_plant';
EXEC sp_addextendedproperty @name = N'MS_Description', @value = N'The month in which it flowers there', @level0type = N'SCHEMA', @level0name = N'dbo', @level1type = N'TABLE', @level1name = N'forage', @level2type = N'COLUMN', @level2name = N'month';

INSERT INTO apiary (code, name, altitude_m)
  VALUES (N'AV-01', N'Mill bank', 140);
INSERT INTO apiary (code, name, altitude_m)
  VALUES (N'AV-02', N'High copse', 410);
INSERT INTO apiary (code, name, altitude_m)
  VALUES (N'AV-03', N'Wren farm', 180);
INSERT INTO apiary (code, name, altitude_m)
  VALUES (N'AV-04', N'Old orchard', 165);
INSERT INTO apiary (code, name, altitude_m)
  VALUES (N'AV-05', N'Quarry edge', 330);
INSERT INTO apiary (code, name, altitude_m)
  VALUES (N'AV-06', N'Station garden', NULL);
INSERT INTO apiary (code, name, altitude_m)
  VALUES (N'AV-07', N'Long meadow', 150);
INSERT INTO apiary (code, name, altitude_m)
  VALUES (N'AV-08', N'Chapel lane', 205);
INSERT INTO apiary (code, name, altitude_m)
  VALUES (N'AV-09', N'Heather top', 560);
INSERT INTO apiary (code, name, altitude_m)
  VALUES (N'AV-10', N'Ferry field', 95);
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q22-100', 2022, NULL, NULL);
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q22-107', 2022, N'yellow', NULL);
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q22-114', 2022, N'yellow', NULL);
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q22-121', 2022, N'yellow', N'Q22-107');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q23-128', 2023, N'red', N'Q22-114');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q23-142', 2023, N'red', N'Q22-107');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q23-149', 2023, N'red', N'Q22-114');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q24-156', 2024, N'green', N'Q22-107');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q24-163', 2024, N'green', N'Q22-114');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q23-135', 2023, NULL, N'Q23-128');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q24-170', 2024, NULL, N'Q23-142');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q24-177', 2024, N'green', N'Q24-156');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q25-184', 2025, N'blue', N'Q23-149');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES (N'Q25-191', 2025, N'blue', N'Q25-184');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-01', 1, N'national', N'white', '2019-03-04', N'Q22-100');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-08', 1, N'langstroth', N'sage', '2019-04-05', N'Q22-107');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-05', 1, N'top bar', N'ochre', '2019-05-06', N'Q22-114');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-02', 1, N'national', N'white', '2020-06-07', N'Q22-121');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-09', 1, N'national', N'white', '2020-07-08', N'Q23-128');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-06', 1, N'langstroth', N'sage', '2020-03-09', N'Q23-135');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-03', 1, N'top bar', N'ochre', '2021-04-10', N'Q23-142');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-10', 1, N'national', N'white', '2021-05-11', N'Q23-149');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-07', 1, N'national', N'white', '2021-06-12', N'Q24-156');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-04', 1, N'langstroth', N'sage', '2022-07-13', N'Q24-163');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-01', 2, N'top bar', N'ochre', '2022-03-14', N'Q24-170');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-08', 2, N'warre', N'white', '2022-04-15', N'Q24-177');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-05', 2, N'national', N'white', '2023-05-16', NULL);
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-02', 2, N'langstroth', N'sage', '2023-06-17', NULL);
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-09', 2, N'top bar', N'ochre', '2023-07-18', NULL);
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES (N'AV-06', 2, N'warre', N'white', '2024-03-19', NULL);
SET IDENTITY_INSERT keeper ON;
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (101, N'hidden 1', N'hidden 1', 2009, NULL);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (107, N'hidden 7', N'hidden 7', 2015, NULL);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (102, N'hidden 2', N'hidden 2', 2010, 101);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (103, N'hidden 3', N'hidden 3', 2011, 101);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (104, N'hidden 4', N'hidden 4', 2012, 101);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (109, N'hidden 8', N'hidden 8', 2016, 101);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (105, N'hidden 5', N'hidden 5', 2013, 102);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (106, N'hidden 6', N'hidden 6', 2014, 102);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (111, N'hidden 10', NULL, 2018, 103);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (112, N'hidden 11', N'hidden 10', 2019, 102);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (113, N'hidden 12', N'hidden 11', 2020, 104);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (110, N'hidden 9', N'hidden 9', 2017, 105);
SET IDENTITY_INSERT keeper OFF;
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('d4504bd7-588c-4832-a12d-bf36400dd074', '2027-04-03 09:00:00', 3, N'calm, brood on six frames', N'AV-01', 1, 101);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('76dc9515-3577-478f-a417-a3502474e122', '2027-04-06 10:15:00', 6, N'weak after winter', N'AV-08', 1, 106);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('8229d161-fa2d-4480-a543-b2a38c8f2006', '2027-04-09 11:30:00', 9, NULL, N'AV-05', 1, 112);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('615e6fef-34ea-4265-ab41-9a3bad2f0fa9', '2027-04-12 12:45:00', 4, N'queen seen', N'AV-02', 1, 104);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('e95146b2-1fb3-45d7-a00a-938f9df2188b', '2027-04-15 13:00:00', 7, NULL, N'AV-09', 1, 110);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('f1bac91c-6bcb-4112-a1a3-45164606f390', '2027-04-18 14:15:00', 10, N'stores low', N'AV-06', 1, 102);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('d21c1f80-dfe9-47fb-ad5f-b01b5d31ee8d', '2027-04-21 15:30:00', 5, N'calm, brood on six frames', N'AV-03', 1, 107);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('8f0bd278-7bae-4240-afa2-729af37a41e6', '2027-04-24 09:45:00', 8, N'weak after winter', N'AV-10', 1, 113);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('93577551-e08f-4ba5-a8c3-e95e6887304c', '2027-05-03 10:00:00', 3, NULL, N'AV-07', 1, 105);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('791f2e86-94ab-4655-a8ff-70c063a72c31', '2027-05-06 11:15:00', 6, N'queen seen', N'AV-04', 1, 111);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('e3db4237-a8e2-4977-a184-807ac2c5967d', '2027-05-09 12:30:00', 9, NULL, N'AV-01', 2, 103);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('2523c34a-e41e-48d9-ab3d-a0ce66655be1', '2027-05-12 13:45:00', 4, N'stores low', N'AV-08', 2, 109);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('2e57220c-6d7f-4ca9-ac6f-18f540b9d95d', '2027-05-15 14:00:00', 7, N'calm, brood on six frames', N'AV-05', 2, 101);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('e45502ed-0200-4856-a05a-6c3602bc2079', '2027-05-18 15:15:00', 10, N'weak after winter', N'AV-02', 2, 106);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('009a599c-0802-4af7-ad42-5f92250226eb', '2027-05-21 09:30:00', 5, NULL, N'AV-09', 2, 112);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('226de8eb-9c9e-4391-ab40-efaa194cd599', '2027-05-24 10:45:00', 8, N'queen seen', N'AV-06', 2, 104);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('ed44bb15-18dd-4784-a6d6-efb1c532a4a2', '2027-06-03 11:00:00', 3, NULL, N'AV-01', 1, 110);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('4afa16dd-a7b1-4989-ab74-8e6aca34becd', '2027-06-06 12:15:00', 6, N'stores low', N'AV-08', 1, 102);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('84e2cca0-660a-4877-af14-019d908ef35e', '2027-06-09 13:30:00', 9, N'calm, brood on six frames', N'AV-05', 1, 107);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('1e665d55-43ad-421e-acea-0c560ee63c2d', '2027-06-12 14:45:00', 4, N'weak after winter', N'AV-02', 1, 113);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('7752e2ee-047e-44ff-ae65-ccf36a3207f7', '2027-06-15 15:00:00', 7, NULL, N'AV-09', 1, 105);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('118a55da-d927-431c-a4e6-f46821cfd3c2', '2027-06-18 09:15:00', 10, N'queen seen', N'AV-06', 1, 111);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('62a9801b-72c7-4286-a51a-8f172c8f9c4f', '2027-06-21 10:30:00', 5, NULL, N'AV-03', 1, 103);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('bbaf60e3-bfa5-4273-a9e0-14994c803f32', '2027-06-24 11:45:00', 8, N'stores low', N'AV-10', 1, 109);
INSERT INTO treatment (name, agent, wait_days)
  VALUES (N'oxalic trickle', N'oxalic acid', 0);
INSERT INTO treatment (name, agent, wait_days)
  VALUES (N'oxalic vapour', N'oxalic acid', 0);
INSERT INTO treatment (name, agent, wait_days)
  VALUES (N'formic pad', N'formic acid', 14);
INSERT INTO treatment (name, agent, wait_days)
  VALUES (N'thymol tray', N'thymol', 28);
INSERT INTO treatment (name, agent, wait_days)
  VALUES (N'lactic spray', N'lactic acid', 7);
INSERT INTO treatment (name, agent, wait_days)
  VALUES (N'drone comb removal', N'none, by hand', 0);
INSERT INTO treatment (name, agent, wait_days)
  VALUES (N'sugar dusting', N'icing sugar', 0);
INSERT INTO treatment (name, agent, wait_days)
  VALUES (N'brood break', N'none, by caging', 0);
INSERT INTO treatment (name, agent, wait_days)
  VALUES (N'thymol gel', N'thymol', 21);
INSERT INTO treatment (name, agent, wait_days)
  VALUES (N'formic strip', N'formic acid', 10);
INSERT INTO batch (code, filled_on, jars)
  VALUES (N'AV-2027-001', '2027-06-02', 36);
INSERT INTO batch (code, filled_on, jars)
  VALUES (N'AV-2027-002', '2027-06-04', 47);
INSERT INTO batch (code, filled_on, jars)
  VALUES (N'AV-2027-003', '2027-06-06', 58);
INSERT INTO batch (code, filled_on, jars)
  VALUES (N'AV-2027-004', '2027-06-08', 69);
INSERT INTO batch (code, filled_on, jars)
  VALUES (N'AV-2027-005', '2027-07-10', 80);
INSERT INTO batch (code, filled_on, jars)
  VALUES (N'AV-2027-006', '2027-07-12', 91);
INSERT INTO batch (code, filled_on, jars)
  VALUES (N'AV-2027-007', '2027-07-14', 102);
INSERT INTO batch (code, filled_on, jars)
  VALUES (N'AV-2027-008', '2027-07-16', 113);
INSERT INTO batch (code, filled_on, jars)
  VALUES (N'AV-2027-009', '2027-08-18', 124);
INSERT INTO batch (code, filled_on, jars)
  VALUES (N'AV-2027-010', '2027-08-20', 45);
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-01', 1, '2027-05-20', 6.40, 16.2, N'AV-2027-001');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-08', 1, '2027-05-21', 7.75, 16.4, N'AV-2027-002');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-05', 1, '2027-05-22', 9.10, 16.6, N'AV-2027-003');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-02', 1, '2027-05-23', 10.45, NULL, N'AV-2027-004');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-09', 1, '2027-05-24', 11.80, 17.0, N'AV-2027-005');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-06', 1, '2027-06-20', 13.15, 17.2, N'AV-2027-006');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-03', 1, '2027-06-21', 14.50, 17.4, N'AV-2027-007');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-10', 1, '2027-06-22', 15.85, NULL, N'AV-2027-008');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-07', 1, '2027-06-23', 17.20, 17.8, N'AV-2027-009');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-04', 1, '2027-06-24', 18.55, 18.0, N'AV-2027-010');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-01', 2, '2027-07-20', 19.90, 18.2, N'AV-2027-001');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-08', 2, '2027-07-21', 21.25, NULL, N'AV-2027-002');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-05', 2, '2027-07-22', 22.60, 18.6, NULL);
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES (N'AV-02', 2, '2027-07-23', 23.95, 18.8, NULL);
INSERT INTO forage_plant (name, latin_name)
  VALUES (N'willow', N'Salix caprea');
INSERT INTO forage_plant (name, latin_name)
  VALUES (N'dandelion', N'Taraxacum officinale');
INSERT INTO forage_plant (name, latin_name)
  VALUES (N'apple', N'Malus domestica');
INSERT INTO forage_plant (name, latin_name)
  VALUES (N'white clover', N'Trifolium repens');
INSERT INTO forage_plant (name, latin_name)
  VALUES (N'lime', N'Tilia cordata');
INSERT INTO forage_plant (name, latin_name)
  VALUES (N'bramble', N'Rubus fruticosus');
INSERT INTO forage_plant (name, latin_name)
  VALUES (N'heather', N'Calluna vulgaris');
INSERT INTO forage_plant (name, latin_name)
  VALUES (N'ivy', N'Hedera helix');
INSERT INTO forage_plant (name, latin_name)
  VALUES (N'hawthorn', N'Crataegus monogyna');
INSERT INTO forage_plant (name, latin_name)
  VALUES (N'field bean', N'Vicia faba');
INSERT INTO forage_plant (name, latin_name)
  VALUES (N'garden mix', NULL);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('d4504bd7-588c-4832-a12d-bf36400dd074', N'oxalic trickle', 2.5);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('8229d161-fa2d-4480-a543-b2a38c8f2006', N'thymol tray', 4.0);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('e95146b2-1fb3-45d7-a00a-938f9df2188b', N'sugar dusting', 5.5);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('d21c1f80-dfe9-47fb-ad5f-b01b5d31ee8d', N'formic strip', 7.0);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('93577551-e08f-4ba5-a8c3-e95e6887304c', N'formic pad', 8.5);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('e3db4237-a8e2-4977-a184-807ac2c5967d', N'drone comb removal', 10.0);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('2e57220c-6d7f-4ca9-ac6f-18f540b9d95d', N'thymol gel', 11.5);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('009a599c-0802-4af7-ad42-5f92250226eb', N'oxalic vapour', 13.0);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('ed44bb15-18dd-4784-a6d6-efb1c532a4a2', N'lactic spray', 14.5);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('84e2cca0-660a-4877-af14-019d908ef35e', N'brood break', 16.0);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('7752e2ee-047e-44ff-ae65-ccf36a3207f7', N'oxalic trickle', 17.5);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('62a9801b-72c7-4286-a51a-8f172c8f9c4f', N'thymol tray', 19.0);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-01', N'willow', 3);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-04', N'dandelion', 4);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-07', N'apple', 5);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-10', N'white clover', 6);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-03', N'lime', 7);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-06', N'bramble', 6);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-09', N'heather', 8);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-02', N'ivy', 9);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-05', N'hawthorn', 5);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-08', N'field bean', 6);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-01', N'garden mix', 7);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-04', N'willow', 4);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-07', N'dandelion', 5);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-10', N'apple', 6);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-03', N'white clover', 7);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-06', N'lime', 8);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-09', N'bramble', 7);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES (N'AV-02', N'heather', 9);
DBCC CHECKIDENT ('keeper', RESEED, 113);

COMMIT;
