USE [Depot]
GO
/****** Object:  Table [dbo].[Customer]    Script Date: 01/03/2027 10:00:00 ******/
SET ANSI_NULLS ON
GO
SET QUOTED_IDENTIFIER ON
GO
CREATE TABLE [dbo].[Customer](
	[CustomerID] [int] IDENTITY(1,1) NOT NULL,
	[Name] [nvarchar](60) NOT NULL,
	[Tax No] [varchar](12) NULL,
	[Since] [datetime] NOT NULL,
	[Credit] [money] NULL,
	[IsActive] [bit] NOT NULL,
	[RowGuid] [uniqueidentifier] ROWGUIDCOL NOT NULL,
	[Remarks] [nvarchar](max) NULL,
	[Photo] [varbinary](max) NULL,
	[ShownAs]  AS ([Name]+' '),
 CONSTRAINT [PK_Customer] PRIMARY KEY CLUSTERED 
(
	[CustomerID] ASC
)WITH (PAD_INDEX = OFF, STATISTICS_NORECOMPUTE = OFF, IGNORE_DUP_KEY = OFF, ALLOW_ROW_LOCKS = ON) ON [PRIMARY],
 CONSTRAINT [UQ_Customer_TaxNo] UNIQUE NONCLUSTERED ([Tax No] ASC) ON [PRIMARY]
) ON [PRIMARY] TEXTIMAGE_ON [PRIMARY]
GO
CREATE TABLE [dbo].[Order](
	[OrderID] [bigint] IDENTITY(100,5) NOT NULL,
	[CustomerID] [int] NOT NULL,
	[Placed] [datetime2](0) NOT NULL,
	[Total] [decimal](10, 2) NOT NULL,
 CONSTRAINT [PK_Order] PRIMARY KEY CLUSTERED ([OrderID] ASC)
) ON [PRIMARY]
GO
CREATE TABLE [sales].[OrderLine](
	[OrderID] [bigint] NOT NULL,
	[Line] [smallint] NOT NULL,
	[Qty] [int] NOT NULL,
 CONSTRAINT [PK_OrderLine] PRIMARY KEY CLUSTERED ([OrderID] ASC, [Line] ASC)
)
GO
CREATE NONCLUSTERED INDEX [IX_Order_Customer] ON [dbo].[Order]
(
	[CustomerID] ASC,
	[Placed] DESC
)
INCLUDE([Total]) 
WHERE ([Total]>(0))
WITH (PAD_INDEX = OFF, DROP_EXISTING = OFF) ON [PRIMARY]
GO
ALTER TABLE [dbo].[Customer] ADD  CONSTRAINT [DF_Customer_Since]  DEFAULT (getdate()) FOR [Since]
GO
ALTER TABLE [dbo].[Customer] ADD  DEFAULT ((1)) FOR [IsActive]
GO
ALTER TABLE [dbo].[Customer] ADD  CONSTRAINT [DF_Guid]  DEFAULT (newid()) FOR [RowGuid]
GO
ALTER TABLE [dbo].[Order]  WITH CHECK ADD  CONSTRAINT [FK_Order_Customer] FOREIGN KEY([CustomerID])
REFERENCES [dbo].[Customer] ([CustomerID])
ON UPDATE CASCADE
GO
ALTER TABLE [dbo].[Order] CHECK CONSTRAINT [FK_Order_Customer]
GO
ALTER TABLE [sales].[OrderLine]  WITH NOCHECK ADD  CONSTRAINT [FK_Line_Order] FOREIGN KEY([OrderID])
REFERENCES [dbo].[Order] ([OrderID])
ON DELETE CASCADE
GO
ALTER TABLE [sales].[OrderLine]  WITH CHECK ADD  CONSTRAINT [CK_Qty] CHECK  (([Qty]>(0) AND [Qty]<=(999)))
GO
CREATE PROCEDURE [dbo].[Tidy] @days int AS
BEGIN
  DELETE FROM [Order] WHERE Total = 0;
  SELECT 1;
END
GO
EXEC sys.sp_addextendedproperty @name=N'MS_Description', @value=N'who pays' , @level0type=N'SCHEMA',@level0name=N'dbo', @level1type=N'TABLE',@level1name=N'Customer'
GO
EXEC sys.sp_addextendedproperty @name=N'MS_Description', @value=N'with the bank''s fee' , @level0type=N'SCHEMA',@level0name=N'dbo', @level1type=N'TABLE',@level1name=N'Order', @level2type=N'COLUMN',@level2name=N'Total'
GO
INSERT [dbo].[Customer] ([CustomerID], [Name]) VALUES (1, N'Ada')
INSERT [dbo].[Customer] ([CustomerID], [Name]) VALUES (2, N'Bo')
GO
