CREATE TABLE `pier` (
  `pier_id` int NOT NULL PRIMARY KEY,
  `label` varchar(40) NOT NULL
);
CREATE TABLE `berth` (
  `berth_id` int NOT NULL PRIMARY KEY,
  `pier_id` int NOT NULL,
  `depth` int,
  CONSTRAINT `berth_of_pier` FOREIGN KEY (`pier_id`) REFERENCES `pier` (`pier_id`)
);
CREATE TABLE `depth_log` (`entry_id` int NOT NULL PRIMARY KEY, `berth_id` int NOT NULL, `depth` int);
CREATE VIEW `wide_berth` AS SELECT `b`.`berth_id`, `b`.`depth`, `p`.`label` FROM `berth` `b` JOIN `pier` `p` ON `p`.`pier_id` = `b`.`pier_id`;
CREATE VIEW `deep_berth` AS SELECT * FROM `wide_berth` WHERE `depth` > 5;
DELIMITER //
CREATE FUNCTION `in_feet`(`metres` int) RETURNS int DETERMINISTIC
BEGIN
  DECLARE feet int;
  SET feet = metres * 3;
  IF feet > 300 THEN
    SET feet = 300;
  END IF;
  RETURN feet;
END//
CREATE PROCEDURE `clear_log`(IN `before_entry` int)
BEGIN
  DELETE FROM `depth_log` WHERE `entry_id` < before_entry;
END//
CREATE TRIGGER `depth_is_logged` AFTER INSERT ON `berth` FOR EACH ROW
BEGIN
  INSERT INTO `depth_log` VALUES (NEW.`berth_id`, NEW.`berth_id`, NEW.`depth`);
END//
DELIMITER ;
