-- The association's old database, as the former webmaster left it.
-- MySQL dump, structure and a few rows; everything in it is made up.

SET NAMES utf8;
SET FOREIGN_KEY_CHECKS = 0;

DROP TABLE IF EXISTS `tblMembers`;
CREATE TABLE `tblMembers` (
  `MemberID` int(11) NOT NULL AUTO_INCREMENT,
  `Name` varchar(255) DEFAULT NULL,
  `Street` varchar(255) DEFAULT NULL,
  `Town` varchar(255) DEFAULT NULL,
  `Phone1` varchar(255) DEFAULT NULL,
  `Phone2` varchar(255) DEFAULT NULL,
  `Phone3` varchar(255) DEFAULT NULL,
  `email` varchar(255) DEFAULT NULL,
  `password` varchar(20) DEFAULT NULL,
  `joined` varchar(10) DEFAULT NULL COMMENT 'day.month.year',
  `fee` float DEFAULT '24',
  `hives` varchar(255) DEFAULT NULL COMMENT 'numbers with commas between',
  `mentor` int(11) DEFAULT NULL,
  `active` char(1) DEFAULT 'Y',
  PRIMARY KEY (`MemberID`),
  KEY `name` (`Name`),
  KEY `name_town` (`Name`,`Town`)
) ENGINE=MyISAM AUTO_INCREMENT=87 DEFAULT CHARSET=utf8 COMMENT='who pays, and some who do not';

CREATE TABLE `tblApiaries` (
  `ApiaryID` int(11) NOT NULL AUTO_INCREMENT,
  `code` varchar(6) NOT NULL,
  `name` varchar(255) DEFAULT NULL,
  `owner` varchar(255) DEFAULT NULL,
  `altitude` varchar(10) DEFAULT NULL,
  `lat` float DEFAULT NULL,
  `lon` float DEFAULT NULL,
  `parish_id` int(11) DEFAULT NULL,
  PRIMARY KEY (`ApiaryID`),
  UNIQUE KEY `code` (`code`),
  KEY `code_2` (`code`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `parish` (
  `id` smallint(6) NOT NULL,
  `parish` varchar(60) NOT NULL,
  `county_code` char(2) NOT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `county` (
  `code` char(2) NOT NULL,
  `county` varchar(60) DEFAULT NULL,
  PRIMARY KEY (`code`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `tblHives` (
  `HiveID` int(11) NOT NULL AUTO_INCREMENT,
  `ApiaryID` int(11) DEFAULT NULL,
  `StandNo` int(11) DEFAULT NULL,
  `HiveType` varchar(20) DEFAULT NULL,
  `Colour` enum('white','green','blue','yellow','red') DEFAULT 'white',
  `SetUp` date DEFAULT NULL,
  `QueenRing` varchar(8) DEFAULT NULL,
  `ownerID` bigint(20) DEFAULT NULL,
  `sold` tinyint(1) DEFAULT '0',
  PRIMARY KEY (`HiveID`),
  KEY `ApiaryID` (`ApiaryID`),
  CONSTRAINT `fk_hive_apiary` FOREIGN KEY (`ApiaryID`) REFERENCES `tblApiaries` (`ApiaryID`) ON DELETE SET NULL
) ENGINE=InnoDB AUTO_INCREMENT=412 DEFAULT CHARSET=utf8;

CREATE TABLE `queens` (
  `ring` varchar(8) NOT NULL,
  `hatched` int(4) DEFAULT NULL,
  `mark` varchar(20) DEFAULT NULL,
  `mother` varchar(8) DEFAULT NULL,
  `breeder_id` int(11) DEFAULT NULL,
  PRIMARY KEY (`ring`),
  KEY `breeder_id` (`breeder_id`),
  CONSTRAINT `queen_mother` FOREIGN KEY (`mother`) REFERENCES `queens` (`ring`),
  CONSTRAINT `queen_breeder` FOREIGN KEY (`breeder_id`) REFERENCES `breeder` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `breeder` (
  `id` int(11) NOT NULL AUTO_INCREMENT,
  `breeder` varchar(60) DEFAULT NULL,
  `line` varchar(60) DEFAULT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `inspection` (
  `id` int(11) NOT NULL AUTO_INCREMENT,
  `hive_id` int(11) NOT NULL,
  `member_id` int(11) DEFAULT NULL,
  `date` date NOT NULL,
  `time` varchar(5) DEFAULT NULL,
  `weather` varchar(20) DEFAULT NULL,
  `strength` varchar(2) DEFAULT NULL,
  `brood1` tinyint(4) DEFAULT NULL,
  `brood2` tinyint(4) DEFAULT NULL,
  `brood3` tinyint(4) DEFAULT NULL,
  `remarks` text,
  PRIMARY KEY (`id`),
  KEY `hive_id` (`hive_id`),
  CONSTRAINT `insp_hive` FOREIGN KEY (`hive_id`) REFERENCES `tblHives` (`HiveID`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `inspection_photo` (
  `inspection_id` int(11) NOT NULL,
  `no` int(11) NOT NULL,
  `path` varchar(255) NOT NULL,
  PRIMARY KEY (`inspection_id`,`no`),
  CONSTRAINT `photo_insp` FOREIGN KEY (`inspection_id`) REFERENCES `inspection` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `treatment_2019` (
  `inspection_id` int(11) DEFAULT NULL,
  `agent` varchar(60) DEFAULT NULL,
  `dose` varchar(20) DEFAULT NULL,
  `wait` int(11) DEFAULT NULL
) ENGINE=MyISAM DEFAULT CHARSET=utf8;

CREATE TABLE `treatment_2020` (
  `inspection_id` int(11) DEFAULT NULL,
  `agent` varchar(60) DEFAULT NULL,
  `dose` varchar(20) DEFAULT NULL,
  `wait` int(11) DEFAULT NULL
) ENGINE=MyISAM DEFAULT CHARSET=utf8;

CREATE TABLE `agents` (
  `agent` varchar(60) NOT NULL,
  `substance` varchar(60) DEFAULT NULL,
  `max_dose` decimal(6,2) DEFAULT NULL,
  PRIMARY KEY (`agent`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `harvest` (
  `id` int(11) NOT NULL AUTO_INCREMENT,
  `hive_id` int(11) DEFAULT NULL,
  `taken` date DEFAULT NULL,
  `kg` float DEFAULT NULL,
  `water` decimal(4,1) DEFAULT NULL,
  `batch` varchar(12) DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `harvest_batch` (`batch`),
  CONSTRAINT `harvest_batch` FOREIGN KEY (`batch`) REFERENCES `batch` (`code`),
  CONSTRAINT `harvest_hive` FOREIGN KEY (`hive_id`) REFERENCES `tblHives` (`HiveID`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `batch` (
  `code` varchar(12) NOT NULL,
  `filled` date DEFAULT NULL,
  `jars` smallint(6) DEFAULT NULL,
  `price` float DEFAULT NULL,
  `lab_water` decimal(4,1) DEFAULT NULL,
  PRIMARY KEY (`code`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `order` (
  `id` int(11) NOT NULL AUTO_INCREMENT,
  `member_id` int(11) NOT NULL,
  `date` datetime DEFAULT CURRENT_TIMESTAMP,
  `status` int(11) DEFAULT '0' COMMENT '0 open, 1 paid, 2 sent',
  `total` double DEFAULT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `order_line` (
  `order_id` int(11) NOT NULL,
  `batch_code` varchar(12) NOT NULL,
  `jars` int(11) NOT NULL DEFAULT '1',
  `price` decimal(6,2) DEFAULT NULL,
  PRIMARY KEY (`order_id`,`batch_code`),
  KEY `order_line_batch` (`batch_code`),
  CONSTRAINT `line_order` FOREIGN KEY (`order_id`) REFERENCES `order` (`id`) ON DELETE CASCADE,
  CONSTRAINT `line_batch` FOREIGN KEY (`batch_code`) REFERENCES `batch` (`code`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `plants` (
  `id` int(11) NOT NULL AUTO_INCREMENT,
  `plant` varchar(60) NOT NULL,
  `latin` varchar(60) DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `plant` (`plant`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `apiary_plants` (
  `apiary_id` int(11) NOT NULL,
  `plant_id` int(11) NOT NULL,
  PRIMARY KEY (`apiary_id`,`plant_id`),
  KEY `apiary_plants_plant` (`plant_id`),
  CONSTRAINT `ap_apiary` FOREIGN KEY (`apiary_id`) REFERENCES `tblApiaries` (`ApiaryID`) ON DELETE CASCADE,
  CONSTRAINT `ap_plant` FOREIGN KEY (`plant_id`) REFERENCES `plants` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `course` (
  `CourseID` int(11) NOT NULL AUTO_INCREMENT,
  `title` varchar(60) DEFAULT NULL,
  `teacher` int(11) DEFAULT NULL,
  `starts` datetime DEFAULT NULL,
  `seats` tinyint(3) unsigned DEFAULT '12',
  `price` decimal(8,2) DEFAULT NULL,
  PRIMARY KEY (`CourseID`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `course_member` (
  `CourseID` int(11) DEFAULT NULL,
  `MemberID` int(11) DEFAULT NULL,
  `paid` char(1) DEFAULT 'N',
  KEY `CourseID` (`CourseID`)
) ENGINE=MyISAM DEFAULT CHARSET=utf8;

CREATE TABLE `equipment` (
  `id` int(11) NOT NULL AUTO_INCREMENT,
  `label` varchar(60) DEFAULT NULL,
  `kind` varchar(20) DEFAULT NULL,
  `bought` date DEFAULT NULL,
  `price` decimal(8,2) DEFAULT NULL,
  `age` int(11) DEFAULT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `lending` (
  `equipment_id` int(11) NOT NULL,
  `member_id` int(11) NOT NULL,
  `from` date NOT NULL,
  `until` date DEFAULT NULL,
  PRIMARY KEY (`equipment_id`,`from`),
  CONSTRAINT `lent_equipment` FOREIGN KEY (`equipment_id`) REFERENCES `equipment` (`id`),
  CONSTRAINT `lent_in_order` CHECK (`until` is null or `until` >= `from`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `fees` (
  `member_id` int(11) NOT NULL,
  `year` year(4) NOT NULL,
  `amount` float DEFAULT NULL,
  `paid_on` varchar(10) DEFAULT NULL,
  PRIMARY KEY (`member_id`,`year`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8;

CREATE TABLE `settings` (
  `key` varchar(30) DEFAULT NULL,
  `value` text
) ENGINE=MyISAM DEFAULT CHARSET=utf8;

CREATE TABLE `news` (
  `id` int(10) unsigned NOT NULL AUTO_INCREMENT,
  `title` varchar(255) NOT NULL DEFAULT '',
  `body` mediumtext,
  `written` timestamp NOT NULL DEFAULT CURRENT_TIMESTAMP ON UPDATE CURRENT_TIMESTAMP,
  `author` int(11) DEFAULT NULL,
  PRIMARY KEY (`id`),
  FULLTEXT KEY `title` (`title`,`body`)
) ENGINE=MyISAM DEFAULT CHARSET=utf8;

INSERT INTO `county` VALUES ('AV','Alder Valley'),('NR','North Riding');
INSERT INTO `parish` VALUES (1,'Millbrook','AV'),(2,'Ashcombe','AV'),(3,'Highmoor','NR');
INSERT INTO `tblApiaries` (`ApiaryID`,`code`,`name`,`owner`,`altitude`,`lat`,`lon`,`parish_id`) VALUES
 (1,'AV-01','Mill bank','R. Linden','140 m',54.1,-1.2,1),
 (2,'AV-02','Old orchard','parish','about 200',54.2,-1.3,2),
 (3,'AV-03','Moor edge',NULL,'310',54.3,-1.4,9);
INSERT INTO `tblMembers` VALUES
 (1,'R. Linden','2 Mill Lane','Millbrook','01999 1','0777 1','','linden@av.example','honey1','01.03.2009',24,'1,2',NULL,'Y'),
 (2,'M. Ashby','Church Row','Ashcombe','01999 2','','','ashby@av.example','queen','12.04.2011',24,'3',1,'Y'),
 (3,'O. Heath','Moor End','Highmoor','','0777 3','','','smoker','2013-05-02',12,'',1,'N');
INSERT INTO `breeder` VALUES (1,'Valley Queens','dark'),(2,'Moor Apiary','buckfast');
INSERT INTO `queens` VALUES ('Q18-001',2018,'red',NULL,1),('Q20-014',2020,'blue','Q18-001',1);
INSERT INTO `tblHives` VALUES (1,1,1,'national','white','2019-03-04','Q18-001',1,0),(2,1,2,'national','green','2019-03-04','Q20-014',1,0),(3,2,1,'top bar','white','2020-04-11',NULL,2,0);

CREATE VIEW `open_fees` AS SELECT `m`.`Name`, `f`.`year` FROM `tblMembers` `m` JOIN `fees` `f` ON `f`.`member_id` = `m`.`MemberID` WHERE `f`.`paid_on` IS NULL;

DELIMITER ;;
CREATE TRIGGER `order_total` AFTER INSERT ON `order_line` FOR EACH ROW
BEGIN
  UPDATE `order` SET `total` = (SELECT SUM(`jars` * `price`) FROM `order_line` WHERE `order_id` = NEW.`order_id`) WHERE `id` = NEW.`order_id`;
END ;;
DELIMITER ;

SET FOREIGN_KEY_CHECKS = 1;
