package zinctally.store.question;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.PERCENT;
import static zinctally.store.listing.Listing.Type.PRICE;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.util.List;

/** What can be asked about buying and selling. */
final class TradeSubjects {
  private TradeSubjects() {}

  static final List<Subject> ALL =
      List.of(
          sales(),
          purchases(),
          papers(),
          waiting(),
          open(),
          returns(),
          party("customers"),
          party("suppliers"));

  /** What left with the line, and what of that came with a delivery before it. */
  private static final String COST =
      """
      (select coalesce(-sum(e.booked), 0) from cost_event e
        join account x on x.id = e.contra_account and x.role = 'COST_OF_GOODS_SOLD'
        where e.paper_id = n.paper_id and e.line = n.line)
      + (select coalesce(sum(f.value), 0) from fulfilment f
        join awaited a on a.id = f.awaited_id and a.what = 'SENT_INVOICE' and a.paper_id <> f.paper_id
        where f.paper_id = n.paper_id and f.line = n.line)""";

  private static Subject.Builder lines(String key, String name, String sentence, String kinds) {
    return Subject.about(key, name, sentence)
        .from(
            "paper p join paper_kind k on k.kind = p.kind and "
                + kinds
                + " join paper_line n on n.paper_id = p.id and n.version = p.version",
            "p.state = 'POSTED'",
            "concat(lpad(p.id, 12, '0'), '.', lpad(n.line, 6, '0'))")
        .join("k", "") // stands in the table itself
        .join("i", "left join item i on i.id = n.item_id")
        .join("g", "left join item_group g on g.id = i.group_id")
        .join("a", "left join account a on a.id = n.account_id")
        .join("w", "left join party w on w.id = p.party_id")
        .join("o", "left join place o on o.id = coalesce(n.place_id, p.place_id)")
        .join("t", "left join tax_rate t on t.id = n.tax_rate_id")
        .join("c", "left join centre c on c.id = n.centre_id")
        .join("r", "left join reason r on r.id = n.return_reason_id")
        .paper()
        .item()
        .place()
        .column("centre", "Cost centre", "c.name", TEXT, "", "branch department project");
  }

  private static Subject sales() {
    String sale = "k.sale <> 0";
    return lines(
            "sales",
            "Sales lines",
            "A line of an invoice, a counter sale or a customer's return, which takes off.",
            sale)
        .party("Customer")
        .column("seller", "Sold by", "p.seller", TEXT, "", "staff person")
        .column("wording", "Wording", "n.wording", TEXT)
        .column("account", "On account", "concat(a.code, ' ', a.name)", TEXT)
        .column("quantity", "Quantity", "k.sale * n.quantity", QUANTITY, "", "sold pieces")
        .column("price", "Price", "n.price", PRICE)
        .column("discount", "Discount", "n.discount", PERCENT)
        .column(
            "net",
            "Sales",
            "k.sale * n.net",
            MONEY,
            "/papers/{paper_id}",
            "revenue amount net turnover")
        .column("tax", "Tax", "k.sale * n.tax", MONEY, "", "vat")
        .column("rate", "Tax rate", "t.name", TEXT)
        .cost("cost", "Cost", "(" + COST + ")", MONEY, "cogs")
        .cost("margin", "Margin", "k.sale * n.net - (" + COST + ")", MONEY, "profit earned gross")
        .sorted("-date")
        .usual("date", "number", "party", "item", "quantity", "net", "margin")
        .done();
  }

  private static Subject purchases() {
    return lines(
            "purchases",
            "Purchase lines",
            "A line of a supplier's bill or of a return to a supplier, which takes off.",
            "k.side = 'SUPPLIER' and k.tax_role = 'PURCHASE_TAX'")
        .party("Supplier")
        .column("account", "On account", "concat(a.code, ' ', a.name)", TEXT)
        .column("quantity", "Quantity", "k.sign * n.quantity", QUANTITY, "", "bought")
        .column("price", "Price", "n.price", PRICE)
        .column("net", "Net", "k.sign * n.net", MONEY, "/papers/{paper_id}", "amount")
        .column("tax", "Tax", "k.sign * n.tax", MONEY, "", "vat")
        .column("rate", "Tax rate", "t.name", TEXT)
        .column("due", "Due", "p.due", DATE)
        .sorted("-date")
        .usual("date", "number", "party", "item", "quantity", "price", "net")
        .done();
  }

  private static Subject papers() {
    return Subject.about("papers", "Papers", "A paper of any kind, with what it comes to.")
        .from("paper p", "true", "p.id")
        .join("w", "left join party w on w.id = p.party_id")
        .join("o", "left join place o on o.id = p.place_id")
        .paper()
        .party("Who")
        .place()
        .column("due", "Due", "p.due", DATE)
        .column("version", "Version", "p.version", NUMBER)
        .column("net", "Net", "p.net", MONEY)
        .column("tax", "Tax", "p.tax", MONEY, "", "vat")
        .column("total", "Total", "p.total", MONEY, "/papers/{paper_id}", "amount")
        .cost("stock", "Changed stock by", "p.stock_value", MONEY, "value")
        .sorted("-date")
        .usual("date", "number", "kind", "party", "total", "state")
        .done();
  }

  private static Subject waiting() {
    return Subject.about(
            "waiting",
            "What waits",
            "A line of an order, receipt, bill, delivery or invoice that waits for what comes next.")
        .from("awaited aw", "true", "aw.id")
        .join("p", "join paper p on p.id = aw.paper_id")
        .join("i", "join item i on i.id = aw.item_id")
        .join("w", "left join party w on w.id = aw.party_id")
        .join("d", "left join order_head d on d.paper_id = aw.paper_id")
        .join("ar", "left join awaits_role ar on ar.what = aw.what")
        .paper()
        .item()
        .party("Who")
        .column(
            "waits",
            "Waits for",
            "lower(replace(aw.what, '_', ' '))",
            TEXT,
            "",
            "bill goods invoice")
        .column("wanted", "Wanted by", "coalesce(p.due, d.expected)", DATE, "", "expected due late")
        .column("quantity", "Quantity", "aw.quantity", QUANTITY, "", "ordered")
        .column("open", "Still open", "aw.open_quantity", QUANTITY, "", "to come missing")
        .cost("value", "Value", "aw.value", MONEY, "")
        .cost("open_value", "Open value", "aw.open_value", MONEY, "worth")
        .column("days", "Days waiting", "datediff(current_date, p.date)", NUMBER, "", "age")
        .sorted("-date")
        .usual("date", "number", "party", "item", "waits", "quantity", "open")
        .done();
  }

  private static Subject open() {
    return Subject.about(
            "open",
            "Open items",
            "What a bill, an invoice or a payment leaves open; credit is below zero.")
        .from("open_item oi", "oi.open <> 0", "oi.id")
        .join("p", "join paper p on p.id = oi.paper_id")
        .join("w", "join party w on w.id = oi.party_id")
        .paper()
        .party("Who")
        .column(
            "side",
            "Owed",
            "if(w.kind = 'CUSTOMER', 'to us', 'by us')",
            TEXT,
            "",
            "receivable payable")
        .column("due", "Due", "oi.due", DATE)
        .column(
            "late",
            "Days late",
            "greatest(datediff(current_date, oi.due), 0)",
            NUMBER,
            "",
            "overdue age")
        .column(
            "age",
            "Age",
            "case when oi.due >= current_date then 'not due'"
                + " when datediff(current_date, oi.due) <= 30 then '1 to 30 days'"
                + " when datediff(current_date, oi.due) <= 60 then '31 to 60 days'"
                + " when datediff(current_date, oi.due) <= 90 then '61 to 90 days' else 'older' end",
            TEXT,
            "",
            "ageing")
        .column("amount", "Amount", "if(w.kind = 'CUSTOMER', oi.amount, -oi.amount)", MONEY)
        .column(
            "open",
            "Open",
            "if(w.kind = 'CUSTOMER', oi.open, -oi.open)",
            MONEY,
            "/papers/{paper_id}",
            "owed")
        .sorted("due")
        .usual("due", "number", "party", "side", "late", "open")
        .done();
  }

  private static Subject returns() {
    return lines(
            "returns", "Returns", "A line of a return, from a customer or to a supplier.", "k.back")
        .party("Who")
        .column(
            "side",
            "Comes back",
            "if(k.side = 'CUSTOMER', 'from a customer', 'to a supplier')",
            TEXT)
        .column(
            "reason",
            "Reason",
            "(select rr.name from return_reason rr where rr.id = n.return_reason_id)",
            TEXT,
            "",
            "why")
        .column("quantity", "Quantity", "n.quantity", QUANTITY)
        .column("net", "Net", "n.net", MONEY, "/papers/{paper_id}", "amount")
        .sorted("-date")
        .usual("date", "number", "party", "item", "reason", "quantity", "net")
        .done();
  }

  private static Subject party(String key) {
    boolean customers = key.equals("customers");
    String page = customers ? "/sell/customer/{party_id}" : "/buy/supplier/{party_id}";
    return Subject.about(
            key,
            customers ? "Customers" : "Suppliers",
            customers ? "A customer, with what they owe." : "A supplier, with what we owe.")
        .from("party w", customers ? "w.kind = 'CUSTOMER'" : "w.kind = 'SUPPLIER'", "w.id")
        .leads("party_id", "w.id")
        .column("party", "Name", "w.name", TEXT, page, "customer supplier")
        .column("email", "E-mail", "w.email", TEXT)
        .column("phone", "Telephone", "w.phone", TEXT)
        .column("terms", "Terms in days", "w.terms_days", NUMBER, "", "due")
        .column("language", "Language", "w.language", TEXT)
        .column("tax_number", "Tax number", "w.tax_number", TEXT, "", "vat")
        .column("active", "In use", "if(w.active, 'yes', 'no')", TEXT)
        .column("limit", "Credit limit", "w.credit_limit", MONEY)
        .column(
            "open",
            "Open",
            (customers ? "" : "-")
                + "(select coalesce(sum(oi.open), 0) from open_item oi where oi.party_id = w.id)",
            MONEY,
            page,
            "owed balance")
        .column(
            "papers", "Papers", "(select count(*) from paper p where p.party_id = w.id)", NUMBER)
        .column(
            "last", "Last paper", "(select max(p.date) from paper p where p.party_id = w.id)", DATE)
        .sorted("party")
        .usual("party", "open", "papers", "last")
        .done();
  }
}
