package zinctally.store.question;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import zinctally.core.question.Question;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;
import zinctally.store.listing.Listing.Type;
import zinctally.store.listing.TypedValues;
import zinctally.store.question.Cols.Col;

/** Rows as they are, in an order, with what those come to that belong together. */
final class RowByRow extends Making {
  RowByRow(
      String name, Subject subject, Question question, TypedValues values, List<String> faults) {
    super(name, subject, question, values, faults);
  }

  @Override
  Listing listing(List<Col> by) {
    List<Col> shown = new ArrayList<>();
    for (Question.Seen seen : seen())
      if (shown.stream().noneMatch(c -> c.key().equals(seen.column())))
        cols.row(seen.column()).map(c -> c.called(seen.heading())).ifPresent(shown::add);
    for (Col group : by)
      if (shown.stream().noneMatch(c -> c.key().equals(group.key()))) shown.add(0, group);
    boolean plain =
        by.isEmpty()
            && question.order().isEmpty()
            && question.top() == 0
            && shown.stream().noneMatch(c -> cols.ofAll(c.key()));
    return plain ? plain(shown) : ordered(shown, by);
  }

  /** As the subject stands, page by page in its own order. */
  private Listing plain(List<Col> shown) {
    List<Column> columns = new ArrayList<>();
    for (Col c : shown) columns.add(column(c, c.sql(), c.link()));
    leads(shown).forEach(columns::add);
    String key = subject.sort().replace("-", "");
    if (columns.stream().noneMatch(c -> c.key().equals(key)))
      subject
          .column(key)
          .ifPresent(c -> columns.add(new Column(c.key(), "", c.sql(), Type.HIDDEN)));
    return new Listing(
        name,
        from(columns.stream().map(Column::sql).toList()),
        params,
        columns,
        subject.id(),
        subject.sort(),
        "Nothing is as asked for.");
  }

  /** Columns that the links of those that are shown need; no others are joined. */
  private List<Column> leads(List<Col> shown) {
    return subject.parts().stream()
        .map(Subject.Part::column)
        .filter(c -> c.type() == Type.HIDDEN)
        .filter(c -> shown.stream().anyMatch(s -> s.link().contains("{" + c.key() + "}")))
        .toList();
  }

  private Listing ordered(List<Col> shown, List<Col> by) {
    List<Column> leads = leads(shown);
    List<String> orders = new ArrayList<>();
    for (Col group : by) orders.add(group.sql() + down(group.key()));
    for (Question.Order order : question.order())
      cols.row(order.column())
          .filter(c -> !cols.ofAll(c.key()) && by.stream().noneMatch(g -> g.key().equals(c.key())))
          .ifPresent(c -> orders.add(c.sql() + (order.down() ? " desc" : "")));
    orders.add(subject.id());
    String order = String.join(", ", orders);
    List<String> selected = new ArrayList<>();
    List<String> sqls = new ArrayList<>(orders);
    for (Col c : shown) {
      selected.add(over(c, order) + " as " + quoted(c.key()));
      sqls.add(c.sql());
    }
    for (Column lead : leads) {
      selected.add(lead.sql() + " as " + quoted(lead.key()));
      sqls.add(lead.sql());
    }
    selected.add("row_number() over (order by " + order + ") as _n");
    List<Listing.Subtotal> levels = levels(shown, by, order, selected);
    String inner =
        "(select " + String.join(", ", selected) + " from " + from(sqls) + limited(order) + ") q";
    List<Column> columns = new ArrayList<>();
    for (Col c : shown) columns.add(column(c, "q." + quoted(c.key()), c.link()));
    for (Column lead : leads)
      columns.add(new Column(lead.key(), "", "q." + quoted(lead.key()), Type.HIDDEN));
    for (Listing.Subtotal level : levels) {
      columns.add(new Column(level.last(), "", "q." + level.last(), Type.HIDDEN));
      for (String sum : level.sums().values())
        columns.add(new Column(sum, "", "q." + quoted(sum), Type.HIDDEN));
    }
    columns.add(new Column("_n", "", "q._n", Type.HIDDEN));
    return new Listing(
            name, inner + " where true", params, columns, "q._n", "_n", "Nothing is as asked for.")
        .subtotalled(levels);
  }

  /** What rows come to that share a value, and the values of all columns further out. */
  private List<Listing.Subtotal> levels(
      List<Col> shown, List<Col> by, String order, List<String> selected) {
    List<Listing.Subtotal> levels = new ArrayList<>();
    for (int level = 1; level <= by.size(); level++) {
      String part = "partition by " + String.join(", ", Cols.sqls(by.subList(0, level)));
      String last = "_last" + level;
      selected.add(
          "row_number() over ("
              + part
              + " order by "
              + order
              + ") = count(*) over ("
              + part
              + ") as "
              + last);
      Map<String, String> sums = new LinkedHashMap<>();
      for (Col c : shown)
        if (column(c, "", "").summed() && !cols.ofAll(c.key())) {
          String sum = "_sum" + level + "_" + c.key();
          selected.add("sum(" + c.sql() + ") over (" + part + ") as " + quoted(sum));
          sums.put(c.key(), sum);
        }
      levels.add(new Listing.Subtotal(by.get(level - 1).key(), last, sums));
    }
    return levels;
  }

  private String down(String key) {
    return question.order().stream().anyMatch(o -> o.column().equals(key) && o.down())
        ? " desc"
        : "";
  }

  private String over(Col c, String order) {
    return running(c.key()) ? "sum(" + c.sql() + ") over (order by " + order + ")" : c.sql();
  }
}
