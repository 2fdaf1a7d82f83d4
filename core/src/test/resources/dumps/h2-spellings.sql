-- A lending desk for instruments, written for whatever database was at hand
CREATE CACHED TABLE loan_log (
  nr IDENTITY,
  seen BIT DEFAULT FALSE,
  payload LONGVARBINARY,
  note LONGVARCHAR
);
CREATE TABLE instrument (
  id IDENTITY NOT NULL,
  code VARCHAR2(20) NOT NULL,
  price NUMBER(8, 2),
  weight DOUBLE,
  share FLOAT(20),
  rating LONG,
  photo IMAGE,
  manual MEDIUMTEXT,
  sounds TINYBLOB,
  bought DATETIME DEFAULT CURRENT_TIMESTAMP,
  played MEDIUMINT,
  PRIMARY KEY (id)
);
CREATE TABLE loan (
  instrument BIGINT NOT NULL,
  lent_at TIMESTAMP(0) NOT NULL,
  raw_scan RAW,
  PRIMARY KEY (instrument, lent_at),
  FOREIGN KEY (instrument) REFERENCES instrument (id) ON DELETE CASCADE
);
