-- A cargo office: tables that grew over twenty years, and every hand spelled types its own way
CREATE TABLE `4x4_carrier` (
  carrier_id INT UNSIGNED NOT NULL AUTO_INCREMENT,
  4wd_permit VARCHAR(12) BINARY DEFAULT NULL,
  axles TINYINT NOT NULL DEFAULT 2,
  axle_load NUMERIC DEFAULT NULL,
  weight DEC(7) NOT NULL,
  factor DOUBLE PRECISION DEFAULT NULL,
  share FLOAT(30) DEFAULT NULL,
  plate CHAR NOT NULL DEFAULT 'x',
  flags BIT NOT NULL DEFAULT 0,
  stamp BINARY(4) DEFAULT NULL,
  counted INT(8) ZEROFILL DEFAULT NULL,
  since YEAR(4) DEFAULT NULL,
  changed TIMESTAMP(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  PRIMARY KEY (carrier_id)
) ENGINE=InnoDB ROW_FORMAT=Dynamic DEFAULT CHARSET=utf8 COLLATE=utf8_bin;

CREATE TABLE consignment (
  id BIGINT(20) NOT NULL,
  note VARCHAR(40) CHARACTER SET latin1 DEFAULT NULL,
  label VARCHAR(191) CHARACTER SET utf8 COLLATE utf8_bin DEFAULT NULL,
  remark MEDIUMTEXT CHARACTER SET ascii DEFAULT NULL,
  carrier INTEGER UNSIGNED DEFAULT NULL,
  backup_carrier INTEGER UNSIGNED DEFAULT NULL,
  parent BIGINT DEFAULT NULL,
  PRIMARY KEY (id),
  KEY label_start (label(20)),
  KEY label_all (label(191)),
  UNIQUE KEY note_once (note(40)),
  KEY carrier_then_label (carrier, label(10)),
  CONSTRAINT fk_carrier FOREIGN KEY (carrier) REFERENCES `4x4_carrier` (carrier_id) ON DELETE SET NULL,
  CONSTRAINT fk_backup FOREIGN KEY (backup_carrier) REFERENCES `4x4_carrier` (carrier_id),
  FOREIGN KEY (parent) REFERENCES consignment (id) ON DELETE CASCADE
) DEFAULT CHARSET=latin1;

CREATE TABLE scan (
  consignment BIGINT NOT NULL,
  scanned_at DATETIME NOT NULL,
  hexed INT NOT NULL DEFAULT 0x1F,
  large DOUBLE NOT NULL DEFAULT 4e4,
  PRIMARY KEY (consignment, scanned_at),
  CONSTRAINT fk_scan FOREIGN KEY (consignment) REFERENCES consignment (id)
) ENGINE=MyISAM;

CREATE TABLE counter (
  counter TINYBLOB NOT NULL,
  number INT AUTO_INCREMENT NOT NULL,
  code VARCHAR(30) NOT NULL,
  PRIMARY KEY (counter(128), code(30)),
  KEY by_number (number)
);

CREATE TABLE dock (
  id INT NOT NULL AUTO_INCREMENT,
  PRIMARY KEY (id),
  UNIQUE KEY id_UNIQUE (id)
);

CREATE TABLE dock_carrier (
  dock_id INT NOT NULL,
  carrier_id INT UNSIGNED NOT NULL,
  PRIMARY KEY (dock_id, carrier_id),
  CONSTRAINT fk_dock_carrier_dock FOREIGN KEY (dock_id) REFERENCES dock (id),
  CONSTRAINT fk_dock_carrier_carrier FOREIGN KEY (carrier_id) REFERENCES `4x4_carrier` (carrier_id)
);

CREATE TABLE voyage (
  record_id SERIAL UNIQUE,
  code NCHAR(6) NOT NULL,
  dock_id INT NOT NULL,
  PRIMARY KEY (record_id),
  CONSTRAINT fk_voyage_dock FOREIGN KEY (dock_id) REFERENCES dock (id)
);
ALTER TABLE voyage DROP FOREIGN KEY fk_voyage_dock;
CREATE TABLE leg (
  voyage BIGINT UNSIGNED NOT NULL,
  dock_id INT NOT NULL,
  KEY fk_leg_voyage (voyage),
  CONSTRAINT fk_leg_voyage FOREIGN KEY (voyage) REFERENCES voyage (record_id),
  CONSTRAINT fk_leg_dock FOREIGN KEY (dock_id) REFERENCES dock (id)
);
ALTER TABLE leg DROP FOREIGN KEY fk_leg_dock;
DROP INDEX fk_leg_dock ON leg;
