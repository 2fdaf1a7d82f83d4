CREATE SEQUENCE berth_seq START WITH 10 INCREMENT BY 5;
CREATE TABLE pier (
  pier_id number(9) NOT NULL,
  label varchar2(40 char) NOT NULL,
  CONSTRAINT pier_key PRIMARY KEY (pier_id)
);
CREATE TABLE berth (
  berth_id number(9) NOT NULL,
  pier_id number(9) NOT NULL,
  depth number(9),
  CONSTRAINT berth_key PRIMARY KEY (berth_id),
  CONSTRAINT berth_of_pier FOREIGN KEY (pier_id) REFERENCES pier (pier_id)
);
CREATE OR REPLACE FORCE EDITIONABLE VIEW wide_berth AS
SELECT b.berth_id, b.depth, p.label FROM berth b JOIN pier p ON p.pier_id = b.pier_id;
CREATE OR REPLACE PACKAGE soundings AS
  FUNCTION in_feet(metres NUMBER) RETURN NUMBER;
END soundings;
/
CREATE OR REPLACE PACKAGE BODY soundings AS
  FUNCTION in_feet(metres NUMBER) RETURN NUMBER IS
  BEGIN
    RETURN metres * 3;
  END in_feet;
END soundings;
/
CREATE OR REPLACE TRIGGER berth_number BEFORE INSERT ON berth FOR EACH ROW
BEGIN
  :NEW.berth_id := berth_seq.NEXTVAL;
END;
/
CREATE PUBLIC SYNONYM berths FOR berth;
