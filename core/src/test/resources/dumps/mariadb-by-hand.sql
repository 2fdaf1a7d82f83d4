CREATE DATABASE IF NOT EXISTS mill CHARACTER SET utf8mb4;
USE mill;
# what the miller buys
CREATE TABLE grain (
  id INT PRIMARY KEY AUTO_INCREMENT,
  `key` VARCHAR(20) NOT NULL UNIQUE,
  kind ENUM('wheat', 'rye') NOT NULL,
  kg DECIMAL(9,3) NOT NULL CHECK (kg > 0),
  moist DECIMAL(4,1) DEFAULT 14.5,
  bought DATETIME NOT NULL DEFAULT NOW(),
  uid UUID NOT NULL DEFAULT UUID(),
  INDEX (bought),
  INDEX by_kind (kind, kg)
) ENGINE = InnoDB;
CREATE TABLE batch (
  grain_id INT NOT NULL,
  no INT NOT NULL,
  ground_on DATE,
  flour_kg DECIMAL(9,3) AS (loss * 2) PERSISTENT,
  loss DECIMAL(9,3) NOT NULL DEFAULT 0,
  PRIMARY KEY (grain_id, no),
  FOREIGN KEY (grain_id) REFERENCES grain(id) ON DELETE CASCADE ON UPDATE CASCADE,
  CONSTRAINT good_loss CHECK (loss >= 0 AND loss <= 100)
) COMMENT 'one grinding';
CREATE TABLE batch_archive LIKE batch;
ALTER TABLE batch ADD COLUMN baker_id INT NULL AFTER no, ADD KEY (baker_id);
CREATE TABLE baker (id INT NOT NULL, name VARCHAR(50), PRIMARY KEY (id)) ENGINE=InnoDB;
ALTER TABLE baker MODIFY name VARCHAR(80) NOT NULL COMMENT 'full name', CHANGE id baker_no INT NOT NULL;
ALTER TABLE batch ADD CONSTRAINT to_baker FOREIGN KEY (baker_id) REFERENCES baker (baker_no) ON DELETE SET NULL;
CREATE UNIQUE INDEX one_name ON baker (name);
ALTER TABLE grain DROP COLUMN moist;
RENAME TABLE batch_archive TO old_batch;
INSERT INTO baker VALUES (1, 'Ada');
DELIMITER $$
CREATE TRIGGER tr BEFORE INSERT ON baker FOR EACH ROW
BEGIN
  IF NEW.name = '' THEN SET NEW.name = 'unknown'; END IF;
END$$
DELIMITER ;
