-- Tables that are kept in parts.
CREATE TABLE `harvest` (
  `year` smallint(6) NOT NULL,
  `lot` int(11) NOT NULL,
  `kilos` decimal(7,2) DEFAULT NULL,
  PRIMARY KEY (`year`,`lot`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci ROW_FORMAT=DYNAMIC COMMENT='By year.'
 PARTITION BY RANGE (`year`)
(PARTITION `old` VALUES LESS THAN (2020) ENGINE = InnoDB,
 PARTITION `new` VALUES LESS THAN MAXVALUE ENGINE = InnoDB);

CREATE TABLE reading (
  id bigint NOT NULL AUTO_INCREMENT,
  taken datetime NOT NULL,
  grams int,
  PRIMARY KEY (id, taken),
  KEY by_taken (taken)
) PARTITION BY HASH (month(taken)) PARTITIONS 4;

create table weighing (
  apiary int not null,
  day date not null,
  kilos float
) partition by list columns (apiary) subpartition by hash (to_days(day)) subpartitions 2
(partition `near` values in (1, 2), partition far values in (3));

CREATE TABLE keeper (
  keeper_no int NOT NULL,
  name varchar(40) DEFAULT NULL,
  PRIMARY KEY (keeper_no)
) ENGINE=InnoDB COMMENT='With former names.' WITH SYSTEM VERSIONING;
