package zinctally.store.question;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import zinctally.core.question.How;
import zinctally.core.question.Question;
import zinctally.core.question.Reckoning;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;
import zinctally.store.listing.Listing.Type;
import zinctally.store.listing.TypedValues;
import zinctally.store.question.Cols.Col;

/** What rows come to, by what they are put together by, and side by side. */
final class ComesTo extends Making {
  private final NamedParameterJdbcTemplate jdbc;

  ComesTo(
      String name,
      Subject subject,
      Question question,
      TypedValues values,
      List<String> faults,
      NamedParameterJdbcTemplate jdbc) {
    super(name, subject, question, values, faults);
    this.jdbc = jdbc;
  }

  @Override
  Listing listing(List<Col> by) {
    List<Col> figures = new ArrayList<>();
    for (Question.Seen seen : seen()) {
      boolean group = by.stream().anyMatch(g -> g.key().equals(seen.column()));
      if (group || figures.stream().anyMatch(f -> f.key().equals(seen.column()))) continue;
      Optional<Col> column = cols.grouped(seen.column(), seen.how());
      boolean words = column.isPresent() && !column.get().figure();
      // words are not added up; they are shown only where they were asked to be taken somehow
      if (words && seen.how() == How.SUM) continue;
      column.map(c -> c.called(seen.heading())).ifPresent(figures::add);
    }
    return question.across().isEmpty() ? grouped(by, figures) : across(by, figures);
  }

  private Listing grouped(List<Col> by, List<Col> figures) {
    Optional<Thinned> thin = thinned(by, figures);
    if (thin.isPresent()) {
      Thinned t = thin.get();
      List<Col> keys = by.stream().map(c -> c.of(c.key(), t.key(c))).toList();
      List<Col> sums = figures.stream().map(f -> t.sum(f, "")).toList();
      return put(keys, sums, t.rows(), t.from(where()));
    }
    List<String> sqls = new ArrayList<>(Cols.sqls(by));
    sqls.addAll(Cols.sqls(figures));
    return put(by, figures, "count(*)", from(sqls));
  }

  /**
   * @param rows how many rows are behind each
   * @param source what follows {@code from}
   */
  private Listing put(List<Col> by, List<Col> figures, String rows, String source) {
    List<String> selected = new ArrayList<>();
    for (Col group : by) selected.add(group.sql() + " as " + quoted(group.key()));
    for (Col figure : figures) selected.add(figure.sql() + " as " + quoted(figure.key()));
    selected.add(rows + " as _rows");
    String groups = Cols.sqls(by).stream().collect(Collectors.joining(", "));
    String inner =
        "select "
            + String.join(", ", selected)
            + " from "
            + source
            + (groups.isEmpty() ? "" : " group by " + groups);
    List<String> orders = new ArrayList<>();
    for (Question.Order order : question.order())
      if (by.stream().anyMatch(c -> c.key().equals(order.column()))
          || figures.stream().anyMatch(c -> c.key().equals(order.column())))
        orders.add("s." + quoted(order.column()) + (order.down() ? " desc" : ""));
    for (Col group : by) orders.add("s." + quoted(group.key()));
    if (orders.isEmpty()) orders.add("s._rows");
    String order = String.join(", ", orders);
    List<String> outer = new ArrayList<>();
    for (Col c : by) outer.add("s." + quoted(c.key()));
    for (Col c : figures)
      outer.add(
          running(c.key())
              ? "sum(s." + quoted(c.key()) + ") over (order by " + order + ") as " + quoted(c.key())
              : "s." + quoted(c.key()));
    outer.add("row_number() over (order by " + order + ") as _n");
    String from =
        "(select "
            + String.join(", ", outer)
            + " from ("
            + inner
            + ") s"
            + limited(order)
            + ") q where true";
    List<Column> columns = new ArrayList<>();
    for (Col c : by) columns.add(column(c, "q." + quoted(c.key()), ""));
    for (Col c : figures) columns.add(column(c, "q." + quoted(c.key()), ""));
    columns.add(new Column("_n", "", "q._n", Type.HIDDEN));
    return new Listing(name, from, params, columns, "q._n", "_n", "Nothing is as asked for.");
  }

  // side by side

  private Listing across(List<Col> by, List<Col> figures) {
    Optional<Col> across = cols.row(question.across()).filter(this::groups);
    List<Col> added = figures.stream().filter(c -> c.figure() && adds(c)).toList();
    if (across.isEmpty() || added.isEmpty()) {
      if (across.isPresent()) cols.say("A figure is needed to stand across; choose one to see.");
      return grouped(by, figures);
    }
    String sql = across.get().sql();
    List<String> values =
        jdbc.queryForList(
            "select distinct "
                + sql
                + " as v from "
                + from(List.of(sql))
                + " order by v limit "
                + (Questions.MOST_ACROSS + 1),
            params,
            String.class);
    if (values.size() * added.size() > Questions.MOST_ACROSS) {
      cols.say(
          across.get().heading()
              + " has more than "
              + Questions.MOST_ACROSS / added.size()
              + " different values, too many to stand side by side; take its month, or ask for fewer.");
      return grouped(by, figures);
    }
    List<Col> keys = new ArrayList<>(by);
    keys.add(across.get());
    Optional<Thinned> thin = thinned(keys, added);
    String side = thin.map(t -> t.key(across.get())).orElse(sql);
    List<Col> columns = new ArrayList<>();
    for (Col figure : added)
      for (int v = 0; v < values.size(); v++) {
        String value = values.get(v);
        String bound = "across" + v;
        if (value != null) params.put(bound, value);
        String when = value == null ? side + " is null" : side + " = :" + bound;
        String only =
            thin.map(t -> t.sum(figure, when).sql()).orElseGet(() -> narrowed(figure, when));
        String heading = value == null || value.isEmpty() ? "(empty)" : value;
        String key = figure.key() + "_" + v;
        if (value != null && !value.isEmpty()) beside.put(key, value);
        columns.add(
            figure
                .of(key, only)
                .called(added.size() == 1 ? heading : figure.heading() + " " + heading));
      }
    for (Col figure : added)
      columns.add(
          thin.map(t -> t.sum(figure, ""))
              .orElse(figure)
              .called(added.size() == 1 ? "In all" : figure.heading() + " in all"));
    if (thin.isPresent()) {
      Thinned t = thin.get();
      List<Col> put = by.stream().map(c -> c.of(c.key(), t.key(c))).toList();
      return put(put, columns, t.rows(), t.from(where()));
    }
    List<String> sqls = new ArrayList<>(Cols.sqls(by));
    sqls.addAll(Cols.sqls(added));
    sqls.add(sql);
    return put(by, columns, "count(*)", from(sqls));
  }

  /**
   * Whether it can stand across: what is a share or for each cannot, since it adds up to nothing.
   */
  private boolean adds(Col c) {
    boolean adds =
        question.worked().stream()
            .noneMatch(
                w ->
                    w.key().equals(c.key())
                        && (w.reckoning().ofAll()
                            || w.reckoning() == Reckoning.RATIO
                            || w.reckoning() == Reckoning.PERCENT));
    if (!adds) cols.say(c.heading() + " cannot stand across; it is left out there.");
    return adds;
  }

  /** The figure over those rows alone: each row's own value counts only where it is so. */
  private String narrowed(Col figure, String when) {
    Col row = cols.row(figure.key()).orElseThrow();
    Col only = row.of(row.key(), "if(" + when + ", " + row.sql() + ", null)");
    return Cols.taken(only, figure.how()).sql();
  }
}
