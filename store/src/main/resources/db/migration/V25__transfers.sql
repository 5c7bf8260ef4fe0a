-- Goods that go from one place to another.

insert ignore into paper_kind (kind, words, side, sign, sale, tax_role, tax_sign)
  values ('TRANSFER', 'Transfer', '', 1, 0, '', 0);
