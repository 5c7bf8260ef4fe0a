-- What SQL needs to know of a kind of paper. Whoever adds a kind adds its row.
create table paper_kind (
  kind varchar(24) primary key,
  words varchar(60) not null,
  side varchar(10) not null comment 'SUPPLIER or CUSTOMER; empty for nobody',
  sign tinyint not null comment '-1 when its total takes off what it is about',
  back boolean not null default false comment 'goods go back with it to where they came from',
  orders boolean not null default false comment 'it binds, and moves and books nothing',
  approved boolean not null default false comment 'it may have to be approved first',
  earns boolean not null default false comment 'it books income, or the cost of what was sold',
  sale tinyint not null comment '1 when it asks a customer for money, -1 when it takes that back',
  opens boolean not null default false comment 'it brings in goods that were there before the books began',
  starts boolean not null default false comment 'from it on its items are kept in stock',
  bills boolean not null default false comment 'a supplier asks money with it for goods',
  counter boolean not null default false comment 'it is written at the counter',
  by_hand boolean not null default false comment 'it is written into the ledger by hand',
  head_taxed boolean not null default false comment 'its tax is worked out of its sum, not of its lines',
  tax_role varchar(24) not null comment 'the tax account its lines bear on; empty for none',
  tax_sign tinyint not null comment 'the sign of its lines in the ledger of that tax'
);
insert into paper_kind (kind, words, side, sign, sale, tax_role, tax_sign) values
  ('OPENING_BALANCES', 'Opening balances', '', 1, 0, '', 0),
  ('OPENING_STOCK', 'Opening stock', '', 1, 0, '', 0),
  ('OPENING_PARTIES', 'Opening bills and invoices', '', 1, 0, '', 0),
  ('PURCHASE_ORDER', 'Purchase order', 'SUPPLIER', 1, 0, '', 0),
  ('RECEIPT', 'Receipt', 'SUPPLIER', 1, 0, '', 0),
  ('BILL', 'Supplier bill', 'SUPPLIER', 1, 0, 'PURCHASE_TAX', 1),
  ('CHARGE', 'Charges on goods', 'SUPPLIER', 1, 0, '', 0),
  ('SUPPLIER_RETURN', 'Return to supplier', 'SUPPLIER', -1, 0, 'PURCHASE_TAX', -1),
  ('SUPPLIER_CREDIT', 'Supplier''s credit note', 'SUPPLIER', -1, 0, '', 0),
  ('SUPPLIER_PAYMENT', 'Payment to supplier', 'SUPPLIER', 1, 0, '', 0),
  ('SALES_ORDER', 'Sales order', 'CUSTOMER', 1, 0, '', 0),
  ('DELIVERY', 'Delivery', 'CUSTOMER', 1, 0, '', 0),
  ('INVOICE', 'Invoice', 'CUSTOMER', 1, 1, 'SALES_TAX', -1),
  ('COUNTER_SALE', 'Counter sale', 'CUSTOMER', 1, 1, 'SALES_TAX', -1),
  ('CUSTOMER_RETURN', 'Customer return', 'CUSTOMER', -1, -1, 'SALES_TAX', 1),
  ('CUSTOMER_PAYMENT', 'Payment from customer', 'CUSTOMER', 1, 0, '', 0),
  ('ADJUSTMENT', 'Adjustment', '', 1, 0, '', 0),
  ('WRITE_DOWN', 'Write-down', '', 1, 0, '', 0),
  ('START_TRACKING', 'Start of tracking', '', 1, 0, '', 0),
  ('RECOSTING', 'Recosting', '', 1, 0, '', 0),
  ('JOURNAL', 'Journal by hand', '', 1, 0, '', 0);
update paper_kind set opens = true where kind in ('OPENING_STOCK');
update paper_kind set orders = true where kind in ('PURCHASE_ORDER', 'SALES_ORDER');
update paper_kind set approved = true where kind in ('PURCHASE_ORDER');
update paper_kind set bills = true where kind in ('BILL');
update paper_kind set head_taxed = true where kind in ('CHARGE');
update paper_kind set back = true where kind in ('SUPPLIER_RETURN', 'CUSTOMER_RETURN');
update paper_kind set earns = true where kind in ('DELIVERY', 'INVOICE', 'COUNTER_SALE', 'CUSTOMER_RETURN');
update paper_kind set counter = true where kind in ('COUNTER_SALE');
update paper_kind set starts = true where kind in ('START_TRACKING');
update paper_kind set by_hand = true where kind in ('JOURNAL');
