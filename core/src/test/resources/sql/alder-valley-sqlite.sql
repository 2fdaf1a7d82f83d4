-- In the rows, stand-ins take the place of what is personal or secret: keeper.known_as, keeper.reached_at.

PRAGMA foreign_keys = ON;

BEGIN;

-- apiary: A place where hives stand, with the consent of its owner.
CREATE TABLE apiary (
  code       varchar(6)  NOT NULL
    CHECK (length(code) <= 6),
  name       varchar(60) NOT NULL
    CHECK (length(name) <= 60),
  altitude_m integer
    CHECK (typeof(altitude_m) IN ('integer', 'null') AND altitude_m BETWEEN -32768 AND 32767),
  CONSTRAINT apiary_key
    PRIMARY KEY (code),
  CONSTRAINT apiary_name_unique
    UNIQUE (name),
  CONSTRAINT apiary_altitude_m_check
    CHECK (altitude_m between 0 and 3000)
);

-- queen: A mated queen with a ring of her own.
CREATE TABLE queen (
  ring        varchar(8)  NOT NULL
    CHECK (length(ring) <= 8),
  hatched_in  integer     NOT NULL
    CHECK (typeof(hatched_in) = 'integer' AND hatched_in BETWEEN 1 AND 9999),
  marked      varchar(20)
    CHECK (length(marked) <= 20),
  mother_ring varchar(8)
    CHECK (length(mother_ring) <= 8),
  CONSTRAINT queen_key
    PRIMARY KEY (ring),
  CONSTRAINT queen_is_daughter_of_mother
    FOREIGN KEY (mother_ring)
    REFERENCES queen (ring)
);

-- hive: One colony in its boxes on a numbered stand.
CREATE TABLE hive (
  apiary_code varchar(6)  NOT NULL
    CHECK (length(apiary_code) <= 6),
  stand_no    integer     NOT NULL
    CHECK (typeof(stand_no) = 'integer' AND stand_no BETWEEN -32768 AND 32767),
  type        varchar(20) NOT NULL
    CHECK (length(type) <= 20),
  colour      varchar(20) DEFAULT 'white'
    CHECK (length(colour) <= 20),
  set_up_on   date        NOT NULL
    CHECK (set_up_on IS date(set_up_on)),
  queen_ring  varchar(8)
    CHECK (length(queen_ring) <= 8),
  CONSTRAINT hive_key
    PRIMARY KEY (apiary_code, stand_no),
  CONSTRAINT hive_queen_ring_unique
    UNIQUE (queen_ring),
  CONSTRAINT hive_type_check
    CHECK (type in ('national', 'langstroth', 'top bar', 'warre')),
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

-- keeper: A member who looks after hives, alone or with a mentor.
CREATE TABLE keeper (
  keeper_no    integer      NOT NULL CONSTRAINT keeper_key PRIMARY KEY AUTOINCREMENT,
  known_as     varchar(60)  NOT NULL
    CHECK (length(known_as) <= 60),
  -- E-mail address or telephone number
  reached_at   varchar(120)
    CHECK (length(reached_at) <= 120),
  first_season integer      NOT NULL
    CHECK (typeof(first_season) = 'integer' AND first_season BETWEEN 1 AND 9999),
  mentor_no    integer
    CHECK (typeof(mentor_no) IN ('integer', 'null') AND mentor_no BETWEEN -2147483648 AND 2147483647),
  CONSTRAINT keeper_reached_at_unique
    UNIQUE (reached_at),
  CONSTRAINT keeper_first_season_check
    CHECK (first_season between 1950 and 2100),
  CONSTRAINT keeper_is_mentored_by_mentor
    FOREIGN KEY (mentor_no)
    REFERENCES keeper (keeper_no)
);

-- inspection: One look into one hive, noted on a phone, often without reception.
CREATE TABLE inspection (
  id               char(36)   DEFAULT (lower(hex(randomblob(4)) || '-' || hex(randomblob(2)) || '-4' || substr(hex(randomblob(2)), 2) || '-' || substr('89ab', abs(random() % 4) + 1, 1) || substr(hex(randomblob(2)), 2) || '-' || hex(randomblob(6)))) NOT NULL
    CHECK (id GLOB '????????-????-????-????-????????????' AND length(replace(id, '-', '')) = 32 AND id NOT GLOB '*[^0-9a-fA-F-]*'),
  done_at          timestamp  NOT NULL
    CHECK (done_at IS datetime(done_at)),
  strength         integer    NOT NULL
    CHECK (typeof(strength) = 'integer' AND strength BETWEEN -32768 AND 32767),
  note             text,
  hive_apiary_code varchar(6) NOT NULL
    CHECK (length(hive_apiary_code) <= 6),
  hive_stand_no    integer    NOT NULL
    CHECK (typeof(hive_stand_no) = 'integer' AND hive_stand_no BETWEEN -32768 AND 32767),
  keeper_no        integer    NOT NULL
    CHECK (typeof(keeper_no) = 'integer' AND keeper_no BETWEEN -2147483648 AND 2147483647),
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

-- treatment: A means against mites and diseases, as it stands in the register.
CREATE TABLE treatment (
  name      varchar(40) NOT NULL
    CHECK (length(name) <= 40),
  agent     varchar(60) NOT NULL
    CHECK (length(agent) <= 60),
  wait_days integer     DEFAULT 0 NOT NULL
    CHECK (typeof(wait_days) = 'integer' AND wait_days BETWEEN -32768 AND 32767),
  CONSTRAINT treatment_key
    PRIMARY KEY (name),
  CONSTRAINT treatment_wait_days_check
    CHECK (wait_days >= 0)
);

-- batch: Honey of one filling; its code is printed on the jars.
CREATE TABLE batch (
  -- AV-year-number
  code      varchar(11) NOT NULL
    CHECK (length(code) <= 11),
  filled_on date        NOT NULL
    CHECK (filled_on IS date(filled_on)),
  jars      integer     NOT NULL
    CHECK (typeof(jars) = 'integer' AND jars BETWEEN -32768 AND 32767),
  CONSTRAINT batch_key
    PRIMARY KEY (code),
  CONSTRAINT batch_jars_check
    CHECK (jars >= 0)
);

-- harvest: Honey taken from one hive on one day.
CREATE TABLE harvest (
  hive_apiary_code varchar(6)   NOT NULL
    CHECK (length(hive_apiary_code) <= 6),
  hive_stand_no    integer      NOT NULL
    CHECK (typeof(hive_stand_no) = 'integer' AND hive_stand_no BETWEEN -32768 AND 32767),
  taken_on         date         NOT NULL
    CHECK (taken_on IS date(taken_on)),
  weight_kg        decimal(6,2) NOT NULL
    CHECK (typeof(weight_kg) IN ('integer', 'real') AND weight_kg = round(weight_kg, 2) AND abs(weight_kg) < 10000),
  moisture         decimal(4,1)
    CHECK (typeof(moisture) IN ('integer', 'real', 'null') AND moisture = round(moisture, 1) AND abs(moisture) < 1000),
  batch_code       varchar(11)
    CHECK (length(batch_code) <= 11),
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

-- forage_plant: A plant that bees visit for nectar or pollen.
CREATE TABLE forage_plant (
  name       varchar(40) NOT NULL
    CHECK (length(name) <= 40),
  latin_name varchar(60)
    CHECK (length(latin_name) <= 60),
  CONSTRAINT forage_plant_key
    PRIMARY KEY (name),
  CONSTRAINT forage_plant_latin_name_unique
    UNIQUE (latin_name)
);

CREATE TABLE application (
  inspection_id  char(36)     NOT NULL
    CHECK (inspection_id GLOB '????????-????-????-????-????????????' AND length(replace(inspection_id, '-', '')) = 32 AND inspection_id NOT GLOB '*[^0-9a-fA-F-]*'),
  treatment_name varchar(40)  NOT NULL
    CHECK (length(treatment_name) <= 40),
  dose_ml        decimal(5,1) NOT NULL
    CHECK (typeof(dose_ml) IN ('integer', 'real') AND dose_ml = round(dose_ml, 1) AND abs(dose_ml) < 10000),
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
  apiary_code       varchar(6)  NOT NULL
    CHECK (length(apiary_code) <= 6),
  forage_plant_name varchar(40) NOT NULL
    CHECK (length(forage_plant_name) <= 40),
  -- The month in which it flowers there
  month             integer     NOT NULL
    CHECK (typeof(month) = 'integer' AND month BETWEEN -32768 AND 32767),
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
CREATE INDEX keeper_mentor_no_index ON keeper (mentor_no);
CREATE INDEX inspection_keeper_no_index ON inspection (keeper_no);
CREATE INDEX harvest_batch_code_index ON harvest (batch_code);
CREATE INDEX application_treatment_name_index ON application (treatment_name);
CREATE INDEX forage_forage_plant_name_index ON forage (forage_plant_name);

INSERT INTO sqlite_sequence (name, seq) VALUES ('keeper', 100);

INSERT INTO apiary (code, name, altitude_m)
  VALUES ('AV-01', 'Mill bank', 140);
INSERT INTO apiary (code, name, altitude_m)
  VALUES ('AV-02', 'High copse', 410);
INSERT INTO apiary (code, name, altitude_m)
  VALUES ('AV-03', 'Wren farm', 180);
INSERT INTO apiary (code, name, altitude_m)
  VALUES ('AV-04', 'Old orchard', 165);
INSERT INTO apiary (code, name, altitude_m)
  VALUES ('AV-05', 'Quarry edge', 330);
INSERT INTO apiary (code, name, altitude_m)
  VALUES ('AV-06', 'Station garden', NULL);
INSERT INTO apiary (code, name, altitude_m)
  VALUES ('AV-07', 'Long meadow', 150);
INSERT INTO apiary (code, name, altitude_m)
  VALUES ('AV-08', 'Chapel lane', 205);
INSERT INTO apiary (code, name, altitude_m)
  VALUES ('AV-09', 'Heather top', 560);
INSERT INTO apiary (code, name, altitude_m)
  VALUES ('AV-10', 'Ferry field', 95);
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q22-100', 2022, NULL, NULL);
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q22-107', 2022, 'yellow', NULL);
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q22-114', 2022, 'yellow', NULL);
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q22-121', 2022, 'yellow', 'Q22-107');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q23-128', 2023, 'red', 'Q22-114');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q23-142', 2023, 'red', 'Q22-107');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q23-149', 2023, 'red', 'Q22-114');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q24-156', 2024, 'green', 'Q22-107');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q24-163', 2024, 'green', 'Q22-114');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q23-135', 2023, NULL, 'Q23-128');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q24-170', 2024, NULL, 'Q23-142');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q24-177', 2024, 'green', 'Q24-156');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q25-184', 2025, 'blue', 'Q23-149');
INSERT INTO queen (ring, hatched_in, marked, mother_ring)
  VALUES ('Q25-191', 2025, 'blue', 'Q25-184');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-01', 1, 'national', 'white', '2019-03-04', 'Q22-100');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-08', 1, 'langstroth', 'sage', '2019-04-05', 'Q22-107');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-05', 1, 'top bar', 'ochre', '2019-05-06', 'Q22-114');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-02', 1, 'national', 'white', '2020-06-07', 'Q22-121');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-09', 1, 'national', 'white', '2020-07-08', 'Q23-128');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-06', 1, 'langstroth', 'sage', '2020-03-09', 'Q23-135');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-03', 1, 'top bar', 'ochre', '2021-04-10', 'Q23-142');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-10', 1, 'national', 'white', '2021-05-11', 'Q23-149');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-07', 1, 'national', 'white', '2021-06-12', 'Q24-156');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-04', 1, 'langstroth', 'sage', '2022-07-13', 'Q24-163');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-01', 2, 'top bar', 'ochre', '2022-03-14', 'Q24-170');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-08', 2, 'warre', 'white', '2022-04-15', 'Q24-177');
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-05', 2, 'national', 'white', '2023-05-16', NULL);
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-02', 2, 'langstroth', 'sage', '2023-06-17', NULL);
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-09', 2, 'top bar', 'ochre', '2023-07-18', NULL);
INSERT INTO hive (apiary_code, stand_no, type, colour, set_up_on, queen_ring)
  VALUES ('AV-06', 2, 'warre', 'white', '2024-03-19', NULL);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (101, 'hidden 1', 'hidden 1', 2009, NULL);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (107, 'hidden 7', 'hidden 7', 2015, NULL);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (102, 'hidden 2', 'hidden 2', 2010, 101);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (103, 'hidden 3', 'hidden 3', 2011, 101);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (104, 'hidden 4', 'hidden 4', 2012, 101);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (109, 'hidden 8', 'hidden 8', 2016, 101);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (105, 'hidden 5', 'hidden 5', 2013, 102);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (106, 'hidden 6', 'hidden 6', 2014, 102);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (111, 'hidden 10', NULL, 2018, 103);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (112, 'hidden 11', 'hidden 10', 2019, 102);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (113, 'hidden 12', 'hidden 11', 2020, 104);
INSERT INTO keeper (keeper_no, known_as, reached_at, first_season, mentor_no)
  VALUES (110, 'hidden 9', 'hidden 9', 2017, 105);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('d4504bd7-588c-4832-a12d-bf36400dd074', '2027-04-03 09:00:00', 3, 'calm, brood on six frames', 'AV-01', 1, 101);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('76dc9515-3577-478f-a417-a3502474e122', '2027-04-06 10:15:00', 6, 'weak after winter', 'AV-08', 1, 106);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('8229d161-fa2d-4480-a543-b2a38c8f2006', '2027-04-09 11:30:00', 9, NULL, 'AV-05', 1, 112);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('615e6fef-34ea-4265-ab41-9a3bad2f0fa9', '2027-04-12 12:45:00', 4, 'queen seen', 'AV-02', 1, 104);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('e95146b2-1fb3-45d7-a00a-938f9df2188b', '2027-04-15 13:00:00', 7, NULL, 'AV-09', 1, 110);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('f1bac91c-6bcb-4112-a1a3-45164606f390', '2027-04-18 14:15:00', 10, 'stores low', 'AV-06', 1, 102);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('d21c1f80-dfe9-47fb-ad5f-b01b5d31ee8d', '2027-04-21 15:30:00', 5, 'calm, brood on six frames', 'AV-03', 1, 107);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('8f0bd278-7bae-4240-afa2-729af37a41e6', '2027-04-24 09:45:00', 8, 'weak after winter', 'AV-10', 1, 113);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('93577551-e08f-4ba5-a8c3-e95e6887304c', '2027-05-03 10:00:00', 3, NULL, 'AV-07', 1, 105);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('791f2e86-94ab-4655-a8ff-70c063a72c31', '2027-05-06 11:15:00', 6, 'queen seen', 'AV-04', 1, 111);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('e3db4237-a8e2-4977-a184-807ac2c5967d', '2027-05-09 12:30:00', 9, NULL, 'AV-01', 2, 103);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('2523c34a-e41e-48d9-ab3d-a0ce66655be1', '2027-05-12 13:45:00', 4, 'stores low', 'AV-08', 2, 109);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('2e57220c-6d7f-4ca9-ac6f-18f540b9d95d', '2027-05-15 14:00:00', 7, 'calm, brood on six frames', 'AV-05', 2, 101);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('e45502ed-0200-4856-a05a-6c3602bc2079', '2027-05-18 15:15:00', 10, 'weak after winter', 'AV-02', 2, 106);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('009a599c-0802-4af7-ad42-5f92250226eb', '2027-05-21 09:30:00', 5, NULL, 'AV-09', 2, 112);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('226de8eb-9c9e-4391-ab40-efaa194cd599', '2027-05-24 10:45:00', 8, 'queen seen', 'AV-06', 2, 104);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('ed44bb15-18dd-4784-a6d6-efb1c532a4a2', '2027-06-03 11:00:00', 3, NULL, 'AV-01', 1, 110);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('4afa16dd-a7b1-4989-ab74-8e6aca34becd', '2027-06-06 12:15:00', 6, 'stores low', 'AV-08', 1, 102);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('84e2cca0-660a-4877-af14-019d908ef35e', '2027-06-09 13:30:00', 9, 'calm, brood on six frames', 'AV-05', 1, 107);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('1e665d55-43ad-421e-acea-0c560ee63c2d', '2027-06-12 14:45:00', 4, 'weak after winter', 'AV-02', 1, 113);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('7752e2ee-047e-44ff-ae65-ccf36a3207f7', '2027-06-15 15:00:00', 7, NULL, 'AV-09', 1, 105);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('118a55da-d927-431c-a4e6-f46821cfd3c2', '2027-06-18 09:15:00', 10, 'queen seen', 'AV-06', 1, 111);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('62a9801b-72c7-4286-a51a-8f172c8f9c4f', '2027-06-21 10:30:00', 5, NULL, 'AV-03', 1, 103);
INSERT INTO inspection (id, done_at, strength, note, hive_apiary_code, hive_stand_no, keeper_no)
  VALUES ('bbaf60e3-bfa5-4273-a9e0-14994c803f32', '2027-06-24 11:45:00', 8, 'stores low', 'AV-10', 1, 109);
INSERT INTO treatment (name, agent, wait_days)
  VALUES ('oxalic trickle', 'oxalic acid', 0);
INSERT INTO treatment (name, agent, wait_days)
  VALUES ('oxalic vapour', 'oxalic acid', 0);
INSERT INTO treatment (name, agent, wait_days)
  VALUES ('formic pad', 'formic acid', 14);
INSERT INTO treatment (name, agent, wait_days)
  VALUES ('thymol tray', 'thymol', 28);
INSERT INTO treatment (name, agent, wait_days)
  VALUES ('lactic spray', 'lactic acid', 7);
INSERT INTO treatment (name, agent, wait_days)
  VALUES ('drone comb removal', 'none, by hand', 0);
INSERT INTO treatment (name, agent, wait_days)
  VALUES ('sugar dusting', 'icing sugar', 0);
INSERT INTO treatment (name, agent, wait_days)
  VALUES ('brood break', 'none, by caging', 0);
INSERT INTO treatment (name, agent, wait_days)
  VALUES ('thymol gel', 'thymol', 21);
INSERT INTO treatment (name, agent, wait_days)
  VALUES ('formic strip', 'formic acid', 10);
INSERT INTO batch (code, filled_on, jars)
  VALUES ('AV-2027-001', '2027-06-02', 36);
INSERT INTO batch (code, filled_on, jars)
  VALUES ('AV-2027-002', '2027-06-04', 47);
INSERT INTO batch (code, filled_on, jars)
  VALUES ('AV-2027-003', '2027-06-06', 58);
INSERT INTO batch (code, filled_on, jars)
  VALUES ('AV-2027-004', '2027-06-08', 69);
INSERT INTO batch (code, filled_on, jars)
  VALUES ('AV-2027-005', '2027-07-10', 80);
INSERT INTO batch (code, filled_on, jars)
  VALUES ('AV-2027-006', '2027-07-12', 91);
INSERT INTO batch (code, filled_on, jars)
  VALUES ('AV-2027-007', '2027-07-14', 102);
INSERT INTO batch (code, filled_on, jars)
  VALUES ('AV-2027-008', '2027-07-16', 113);
INSERT INTO batch (code, filled_on, jars)
  VALUES ('AV-2027-009', '2027-08-18', 124);
INSERT INTO batch (code, filled_on, jars)
  VALUES ('AV-2027-010', '2027-08-20', 45);
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-01', 1, '2027-05-20', 6.40, 16.2, 'AV-2027-001');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-08', 1, '2027-05-21', 7.75, 16.4, 'AV-2027-002');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-05', 1, '2027-05-22', 9.10, 16.6, 'AV-2027-003');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-02', 1, '2027-05-23', 10.45, NULL, 'AV-2027-004');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-09', 1, '2027-05-24', 11.80, 17.0, 'AV-2027-005');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-06', 1, '2027-06-20', 13.15, 17.2, 'AV-2027-006');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-03', 1, '2027-06-21', 14.50, 17.4, 'AV-2027-007');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-10', 1, '2027-06-22', 15.85, NULL, 'AV-2027-008');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-07', 1, '2027-06-23', 17.20, 17.8, 'AV-2027-009');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-04', 1, '2027-06-24', 18.55, 18.0, 'AV-2027-010');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-01', 2, '2027-07-20', 19.90, 18.2, 'AV-2027-001');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-08', 2, '2027-07-21', 21.25, NULL, 'AV-2027-002');
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-05', 2, '2027-07-22', 22.60, 18.6, NULL);
INSERT INTO harvest (hive_apiary_code, hive_stand_no, taken_on, weight_kg, moisture, batch_code)
  VALUES ('AV-02', 2, '2027-07-23', 23.95, 18.8, NULL);
INSERT INTO forage_plant (name, latin_name)
  VALUES ('willow', 'Salix caprea');
INSERT INTO forage_plant (name, latin_name)
  VALUES ('dandelion', 'Taraxacum officinale');
INSERT INTO forage_plant (name, latin_name)
  VALUES ('apple', 'Malus domestica');
INSERT INTO forage_plant (name, latin_name)
  VALUES ('white clover', 'Trifolium repens');
INSERT INTO forage_plant (name, latin_name)
  VALUES ('lime', 'Tilia cordata');
INSERT INTO forage_plant (name, latin_name)
  VALUES ('bramble', 'Rubus fruticosus');
INSERT INTO forage_plant (name, latin_name)
  VALUES ('heather', 'Calluna vulgaris');
INSERT INTO forage_plant (name, latin_name)
  VALUES ('ivy', 'Hedera helix');
INSERT INTO forage_plant (name, latin_name)
  VALUES ('hawthorn', 'Crataegus monogyna');
INSERT INTO forage_plant (name, latin_name)
  VALUES ('field bean', 'Vicia faba');
INSERT INTO forage_plant (name, latin_name)
  VALUES ('garden mix', NULL);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('d4504bd7-588c-4832-a12d-bf36400dd074', 'oxalic trickle', 2.5);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('8229d161-fa2d-4480-a543-b2a38c8f2006', 'thymol tray', 4.0);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('e95146b2-1fb3-45d7-a00a-938f9df2188b', 'sugar dusting', 5.5);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('d21c1f80-dfe9-47fb-ad5f-b01b5d31ee8d', 'formic strip', 7.0);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('93577551-e08f-4ba5-a8c3-e95e6887304c', 'formic pad', 8.5);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('e3db4237-a8e2-4977-a184-807ac2c5967d', 'drone comb removal', 10.0);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('2e57220c-6d7f-4ca9-ac6f-18f540b9d95d', 'thymol gel', 11.5);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('009a599c-0802-4af7-ad42-5f92250226eb', 'oxalic vapour', 13.0);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('ed44bb15-18dd-4784-a6d6-efb1c532a4a2', 'lactic spray', 14.5);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('84e2cca0-660a-4877-af14-019d908ef35e', 'brood break', 16.0);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('7752e2ee-047e-44ff-ae65-ccf36a3207f7', 'oxalic trickle', 17.5);
INSERT INTO application (inspection_id, treatment_name, dose_ml)
  VALUES ('62a9801b-72c7-4286-a51a-8f172c8f9c4f', 'thymol tray', 19.0);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-01', 'willow', 3);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-04', 'dandelion', 4);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-07', 'apple', 5);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-10', 'white clover', 6);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-03', 'lime', 7);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-06', 'bramble', 6);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-09', 'heather', 8);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-02', 'ivy', 9);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-05', 'hawthorn', 5);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-08', 'field bean', 6);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-01', 'garden mix', 7);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-04', 'willow', 4);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-07', 'dandelion', 5);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-10', 'apple', 6);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-03', 'white clover', 7);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-06', 'lime', 8);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-09', 'bramble', 7);
INSERT INTO forage (apiary_code, forage_plant_name, month)
  VALUES ('AV-02', 'heather', 9);

COMMIT;
