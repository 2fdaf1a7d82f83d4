CREATE TABLE [dbo].[pier] (
  [pier_id] int NOT NULL PRIMARY KEY,
  [label] nvarchar(40) NOT NULL
)
GO
CREATE TABLE [dbo].[berth] (
  [berth_id] int NOT NULL PRIMARY KEY,
  [pier_id] int NOT NULL REFERENCES [dbo].[pier] ([pier_id]),
  [depth] int
)
GO
CREATE VIEW [dbo].[wide_berth] AS
SELECT b.[berth_id], b.[depth], p.[label] FROM [dbo].[berth] b JOIN [dbo].[pier] p ON p.[pier_id] = b.[pier_id]
GO
CREATE PROCEDURE [dbo].[deepen] @berth int, @by int = 1
AS
BEGIN
  SET NOCOUNT ON;
  UPDATE [dbo].[berth] SET [depth] = [depth] + @by WHERE [berth_id] = @berth;
END
GO
CREATE TRIGGER [dbo].[no_shallow] ON [dbo].[berth] AFTER UPDATE
AS
IF EXISTS (SELECT 1 FROM inserted WHERE [depth] < 0)
BEGIN
  RAISERROR ('too shallow', 16, 1);
  ROLLBACK;
END
GO
GRANT SELECT ON [dbo].[wide_berth] TO [harbour]
GO
