-- MySQL dump 10.13  Distrib 8.4.3, for Linux (x86_64)
--
-- Host: localhost    Database: clinic
-- ------------------------------------------------------
-- Server version	8.4.3

/*!40101 SET @OLD_CHARACTER_SET_CLIENT=@@CHARACTER_SET_CLIENT */;
/*!50503 SET NAMES utf8mb4 */;
/*!40014 SET @OLD_FOREIGN_KEY_CHECKS=@@FOREIGN_KEY_CHECKS, FOREIGN_KEY_CHECKS=0 */;

DROP TABLE IF EXISTS `appointment`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!50503 SET character_set_client = utf8mb4 */;
CREATE TABLE `appointment` (
  `id` int unsigned NOT NULL AUTO_INCREMENT,
  `patient_id` int unsigned NOT NULL,
  `vet_id` smallint NOT NULL,
  `at` datetime NOT NULL,
  `length_min` tinyint unsigned NOT NULL DEFAULT '15',
  `state` enum('booked','came','missed') COLLATE utf8mb4_unicode_ci NOT NULL DEFAULT 'booked',
  `paid` tinyint(1) NOT NULL DEFAULT '0',
  `fee` decimal(8,2) DEFAULT NULL,
  `remark` varchar(200) CHARACTER SET latin1 COLLATE latin1_swedish_ci DEFAULT 'it''s; nothing',
  `created` timestamp NULL DEFAULT CURRENT_TIMESTAMP,
  `changed` timestamp NULL DEFAULT NULL ON UPDATE CURRENT_TIMESTAMP,
  `day` date GENERATED ALWAYS AS (cast(`at` as date)) VIRTUAL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `vet_id` (`vet_id`,`at`),
  KEY `fk_patient` (`patient_id`),
  KEY `state` (`state`,`at` DESC),
  CONSTRAINT `fk_patient` FOREIGN KEY (`patient_id`) REFERENCES `patient` (`id`) ON DELETE CASCADE,
  CONSTRAINT `fk_vet` FOREIGN KEY (`vet_id`) REFERENCES `vet` (`id`) ON UPDATE CASCADE,
  CONSTRAINT `appointment_chk_1` CHECK ((`length_min` between 5 and 120)),
  CONSTRAINT `fee_not_below` CHECK ((`fee` >= 0))
) ENGINE=InnoDB AUTO_INCREMENT=4711 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci COMMENT='One visit; agreed on the phone';
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `appointment` WRITE;
/*!40000 ALTER TABLE `appointment` DISABLE KEYS */;
INSERT INTO `appointment` VALUES (1,1,1,'2027-01-01 10:00:00',15,'booked',0,NULL,'a \'quoted\' remark; (x)',NULL,NULL,DEFAULT),(2,1,1,'2027-01-02 10:00:00',15,'came',1,12.50,'',NULL,NULL,DEFAULT);
/*!40000 ALTER TABLE `appointment` ENABLE KEYS */;
UNLOCK TABLES;

DROP TABLE IF EXISTS `patient`;
CREATE TABLE `patient` (
  `id` int unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(40) NOT NULL COMMENT 'what it is called',
  `species_code` char(3) NOT NULL,
  `born` year DEFAULT NULL,
  `weight` double DEFAULT NULL,
  `history` longtext,
  `scan` mediumblob,
  `extra` json DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `state` (`name`(10)),
  FULLTEXT KEY `history` (`history`),
  CONSTRAINT `patient_ibfk_1` FOREIGN KEY (`species_code`) REFERENCES `species` (`code`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_0900_ai_ci;

CREATE TABLE `species` (
  `code` char(3) NOT NULL,
  `label` varchar(30) NOT NULL,
  PRIMARY KEY (`code`),
  UNIQUE KEY `label_UNIQUE` (`label`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

CREATE TABLE `vet` (
  `id` smallint NOT NULL AUTO_INCREMENT,
  `name` varchar(60) NOT NULL,
  `hired` date DEFAULT '2020-01-01',
  `rate` float DEFAULT '1.5',
  `flags` set('night','large') DEFAULT NULL,
  `active` bit(1) DEFAULT b'1',
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

/*!50003 CREATE*/ /*!50017 DEFINER=`root`@`localhost`*/ /*!50003 TRIGGER `t1` BEFORE INSERT ON `vet` FOR EACH ROW SET NEW.name = trim(NEW.name) */;
DELIMITER ;;
/*!50003 CREATE*/ /*!50003 PROCEDURE `tidy`()
BEGIN
  DELETE FROM appointment WHERE state = 'missed';
  CREATE TABLE nothing (a int);
END */;;
DELIMITER ;
/*!50001 CREATE VIEW `open_bills` AS select `appointment`.`id` AS `id` from `appointment` where (`appointment`.`paid` = 0) */;
/*!40014 SET FOREIGN_KEY_CHECKS=@OLD_FOREIGN_KEY_CHECKS */;

-- Dump completed on 2027-03-01 12:00:00
