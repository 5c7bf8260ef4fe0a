package zinctally.demo;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.store.buy.SupplierStore;

/** Cards of the suppliers, and what they call our goods. */
@Component
class DemoSuppliers {

  private final SupplierStore suppliers;

  private final DemoBills bills;

  private final JdbcClient sql;

  DemoSuppliers(SupplierStore suppliers, DemoBills bills, JdbcClient sql) {
    this.suppliers = suppliers;
    this.bills = bills;
    this.sql = sql;
  }

  void write() {
    cards();
    items();
  }

  private void card(String name, int terms, String account, String address, String phone) {
    long id =
        sql.sql("select coalesce(max(id), 0) from party where kind = 'SUPPLIER' and name = ?")
            .param(name)
            .query(Long.class)
            .single();
    long usual =
        account.isEmpty()
            ? 0
            : sql.sql("select id from account where code = ?")
                .param(account)
                .query(Long.class)
                .single();
    String post = name.toLowerCase().replace(' ', '.') + "@example.org";
    suppliers.save(
        new SupplierStore.Card(id, name, terms, usual, 0, address, post, phone, "", "", "en", true),
        DemoPapers.LOGIN);
  }

  private void cards() {
    card("Orrin Joinery", 30, "", "4 Sawpit Lane, Thornby", "0555 0101");
    card("Calder Glass", 30, "", "Kiln Yard, Calder", "0555 0102");
    card("Brenn Metalwork", 45, "", "Unit 7, Forge Road, Brenn", "0555 0103");
    card("Ansel Apiary Health", 14, "", "12 Mill Street, Anselby", "0555 0104");
    card("Larkin Carriers", 14, "6200", "Depot 2, Ring Road, Thornby", "0555 0105");
    card("Wickmere Estate", 7, "6000", "The Old Barn, Wickmere", "0555 0106");
    theirCode("Orrin Joinery", "BBX-10", "OJ/B10");
    theirCode("Orrin Joinery", "SBX-06", "OJ/S06");
    theirCode("Calder Glass", "JAR-34", "C-340");
  }

  private void theirCode(String supplier, String item, String code) {
    suppliers.theirCode(
        sql.sql("select id from party where kind = 'SUPPLIER' and name = ?")
            .param(supplier)
            .query(Long.class)
            .single(),
        sql.sql("select id from item where code = ?").param(item).query(Long.class).single(),
        code);
  }

  /** What is told apart, and what weighs something. */
  private void items() {
    item("EXS-06", "Extractor, electric, six frames", "Extractors", "SPECIFIC", "SERIAL", "349.00");
    item("MTS-20", "Mite strips, pack of 20", "Treatments", "AVERAGE", "LOT", "31.00");
    sql.sql("update item set supplier = 'Brenn Metalwork', weight = 18.5 where code = 'EXS-06'")
        .update();
    sql.sql(
            "update item set supplier = 'Ansel Apiary Health', reorder_point = 10000000, reorder_quantity = 40000000 where code = 'MTS-20'")
        .update();
    sql.sql(
            "update item set weight = case code when 'BBX-10' then 5.2 when 'SBX-06' then 3.1 else 0.34 end where code in ('BBX-10', 'SBX-06', 'JAR-34')")
        .update();
  }

  private void item(
      String code, String name, String group, String method, String tracking, String price) {
    sql.sql(
            """
            insert into item (id, code, name, kind, group_id, method, base_unit, tracking)
            select next value for item_id, ?, ?, 'STOCKED', id, ?, 'H87', ? from item_group where name = ?
            """)
        .params(code, name, method, tracking, group)
        .update();
    sql.sql(
            "insert into item_price (item_id, list_id, price) select id, 1, ? from item where code = ?")
        .params(price, code)
        .update();
  }
}
