# old tables of the skating club, as they grew
SET FOREIGN_KEY_CHECKS = 0;
create table if not exists Members (
  MemberID int(11) NOT NULL auto_increment,
  `Last Name` varchar(50) default NULL,
  FirstName varchar(50) default NULL,
  email varchar(80) default NULL,
  Phone1 varchar(20) default '',
  Phone2 varchar(20) default '',
  born varchar(10) default '0000-00-00',
  joined date NOT NULL default '0000-00-00',
  paid enum('Y','N') default 'N',
  balance float(7,2) NOT NULL default '0.00',
  pwd char(32) binary,
  note text,
  KEY email (email),
  PRIMARY KEY  (MemberID)
) TYPE=MyISAM AUTO_INCREMENT=512;

create table Courses (
  id mediumint unsigned not null auto_increment primary key,
  title varchar(255) not null,
  start_date datetime,
  price double(8,2) zerofill,
  seats tinyint(3) unsigned default 12,
  unique title (title(50))
) ENGINE=MyISAM;

create table CourseMembers (
  CourseID mediumint unsigned NOT NULL,
  MemberID int(11) NOT NULL,
  since timestamp NOT NULL default CURRENT_TIMESTAMP,
  primary key (CourseID, MemberID),
  constraint foreign key (CourseID) references Courses (id) on delete cascade,
  foreign key fk_m (MemberID) references Members (MemberID)
) ENGINE=InnoDB;
INSERT INTO `Members` VALUES (1,'O\'Hara','Ann','a@x.example','','','1980-01-01','2001-01-01','Y',0.00,'x','-- no comment; really');
