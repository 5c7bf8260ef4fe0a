package zinctally.store.question;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Coin;
import zinctally.core.question.How;
import zinctally.core.question.Question;
import zinctally.core.question.Reckoning;
import zinctally.store.book.BookStore;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;
import zinctally.store.listing.Listing.Type;
import zinctally.store.question.Cols.Col;

/**
 * Makes a list of a question. Its SQL is put together of pieces that are ours alone; what was typed
 * is only ever bound to it.
 */
@Repository
public class Questions {
  /** So many columns stand side by side at most. */
  public static final int MOST_ACROSS = 36;

  private static final int SECONDS = 20;
  private static final int ADDED_UP = 100_000;
  private final NamedParameterJdbcTemplate jdbc;
  private final BookStore books;
  private final Clock clock;

  Questions(DataSource data, BookStore books, Clock clock) {
    JdbcTemplate bounded = new JdbcTemplate(data);
    bounded.setQueryTimeout(SECONDS);
    this.jdbc = new NamedParameterJdbcTemplate(bounded);
    this.books = books;
    this.clock = clock;
  }

  /** What a question about a subject comes to; asks the database only for what stands across. */
  public Answer answer(String name, Subject subject, Question question) {
    return new Making(name, subject, question).answer();
  }

  /** One question while its list is made. */
  private final class Making {
    private final String name;
    private final Subject subject;
    private final Question question;
    private final List<String> faults = new ArrayList<>();
    private final Map<String, Object> params = new HashMap<>();
    private final Cols cols;
    private final String which;
    private final List<String> used;

    Making(String name, Subject subject, Question question) {
      Coin coin = books.book().coin();
      this.name = name;
      this.subject = subject;
      this.question = question;
      this.cols = new Cols(subject, question, faults);
      params.put("minor", BigDecimal.TEN.pow(coin.digits()));
      Which asked = new Which(cols, new Values(coin, LocalDate.now(clock)), params);
      this.which = asked.sql(question);
      this.used = new ArrayList<>(asked.used());
    }

    Answer answer() {
      List<Col> by = new ArrayList<>();
      for (String key : question.by()) cols.row(key).filter(c -> groups(c)).ifPresent(by::add);
      boolean together = question.summary() || !question.across().isEmpty();
      Listing listing = together ? summary(by) : detail(by);
      return new Answer(
          listing.addedUpTo(ADDED_UP),
          List.copyOf(faults),
          by.stream().map(Col::key).toList(),
          question.worked().stream()
              .anyMatch(
                  w ->
                      w.reckoning() == Reckoning.RATIO
                          || w.reckoning() == Reckoning.PERCENT
                          || w.reckoning() == Reckoning.SHARE));
    }

    private boolean groups(Col c) {
      if (!cols.ofAll(c.key())) return true;
      cols.say(c.heading() + " looks at other rows, so that nothing can be put together by it.");
      return false;
    }

    private List<Question.Seen> seen() {
      return question.see().isEmpty()
          ? subject.usual().stream()
              .filter(k -> subject.column(k).isPresent())
              .map(k -> new Question.Seen(k, How.SUM, ""))
              .toList()
          : question.see();
    }

    // row by row

    private Listing detail(List<Col> by) {
      List<Col> shown = new ArrayList<>();
      for (Question.Seen seen : seen())
        if (shown.stream().noneMatch(c -> c.key().equals(seen.column())))
          cols.row(seen.column()).map(c -> called(c, seen.heading())).ifPresent(shown::add);
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
      leads().forEach(columns::add);
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

    /** Columns that links need. */
    private List<Column> leads() {
      return subject.parts().stream()
          .map(Subject.Part::column)
          .filter(c -> c.type() == Type.HIDDEN)
          .toList();
    }

    private Listing ordered(List<Col> shown, List<Col> by) {
      List<Column> leads = leads();
      List<String> orders = new ArrayList<>();
      for (Col group : by) orders.add(group.sql() + down(group.key()));
      for (Question.Order order : question.order())
        cols.row(order.column())
            .filter(
                c -> !cols.ofAll(c.key()) && by.stream().noneMatch(g -> g.key().equals(c.key())))
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
              name,
              inner + " where true",
              params,
              columns,
              "q._n",
              "_n",
              "Nothing is as asked for.")
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

    private boolean running(String key) {
      return question.worked().stream()
          .anyMatch(w -> w.key().equals(key) && w.reckoning() == Reckoning.RUNNING);
    }

    private String limited(String order) {
      return question.top() == 0 ? "" : " order by " + order + " limit " + question.top();
    }

    // what rows come to

    private Listing summary(List<Col> by) {
      List<Col> figures = new ArrayList<>();
      for (Question.Seen seen : seen()) {
        boolean group = by.stream().anyMatch(g -> g.key().equals(seen.column()));
        if (group || figures.stream().anyMatch(f -> f.key().equals(seen.column()))) continue;
        Optional<Col> column = cols.grouped(seen.column(), seen.how());
        boolean words = column.isPresent() && !column.get().figure();
        // words are not added up; they are shown only where they were asked to be taken somehow
        if (words && seen.how() == How.SUM) continue;
        column.map(c -> called(c, seen.heading())).ifPresent(figures::add);
      }
      return question.across().isEmpty() ? grouped(by, figures) : across(by, figures);
    }

    private Listing grouped(List<Col> by, List<Col> figures) {
      List<String> selected = new ArrayList<>();
      for (Col group : by) selected.add(group.sql() + " as " + quoted(group.key()));
      for (Col figure : figures) selected.add(figure.sql() + " as " + quoted(figure.key()));
      selected.add("count(*) as _rows");
      List<String> sqls = new ArrayList<>(Cols.sqls(by));
      sqls.addAll(Cols.sqls(figures));
      return put(by, figures, selected, sqls);
    }

    private Listing put(List<Col> by, List<Col> figures, List<String> selected, List<String> sqls) {
      String groups = Cols.sqls(by).stream().collect(Collectors.joining(", "));
      String inner =
          "select "
              + String.join(", ", selected)
              + " from "
              + from(sqls)
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
                ? "sum(s."
                    + quoted(c.key())
                    + ") over (order by "
                    + order
                    + ") as "
                    + quoted(c.key())
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
                  + (MOST_ACROSS + 1),
              params,
              String.class);
      if (values.size() * added.size() > MOST_ACROSS) {
        cols.say(
            across.get().heading()
                + " has more than "
                + MOST_ACROSS / added.size()
                + " different values, too many to stand side by side; take its month, or ask for fewer.");
        return grouped(by, figures);
      }
      List<String> selected = new ArrayList<>();
      for (Col group : by) selected.add(group.sql() + " as " + quoted(group.key()));
      List<Col> columns = new ArrayList<>();
      for (Col figure : added)
        for (int v = 0; v < values.size(); v++) {
          String value = values.get(v);
          String bound = "across" + v;
          if (value != null) params.put(bound, value);
          String when = value == null ? sql + " is null" : sql + " = :" + bound;
          String key = figure.key() + "_" + v;
          selected.add(narrowed(figure, when) + " as " + quoted(key));
          String heading = value == null || value.isEmpty() ? "(empty)" : value;
          columns.add(
              new Col(
                  key,
                  added.size() == 1 ? heading : figure.heading() + " " + heading,
                  figure.type(),
                  "",
                  "",
                  true));
        }
      for (Col figure : added) {
        selected.add(figure.sql() + " as " + quoted(figure.key()));
        columns.add(called(figure, added.size() == 1 ? "In all" : figure.heading() + " in all"));
      }
      selected.add("count(*) as _rows");
      List<String> sqls = new ArrayList<>(Cols.sqls(by));
      sqls.addAll(Cols.sqls(added));
      sqls.add(sql);
      return put(by, columns, selected, sqls);
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
      How how =
          question.see().stream()
              .filter(s -> s.column().equals(figure.key()))
              .map(Question.Seen::how)
              .findFirst()
              .orElse(How.SUM);
      String value = "if(" + when + ", " + row.sql() + ", null)";
      return switch (how) {
        case COUNT -> "count(" + value + ")";
        case LEAST -> "min(" + value + ")";
        case MOST -> "max(" + value + ")";
        case AVERAGE -> "round(avg(" + value + "))";
        case SUM -> "sum(" + value + ")";
      };
    }

    private String from(List<String> needed) {
      List<String> all = new ArrayList<>(needed);
      all.addAll(used);
      return subject.from(all) + which;
    }

    private static Col called(Col c, String heading) {
      return heading.isEmpty()
          ? c
          : new Col(c.key(), heading, c.type(), c.sql(), c.link(), c.figure());
    }

    /** Money is added up; quantities and numbers are, where they are what rows come to. */
    private Column column(Col c, String sql, String link) {
      boolean grouped =
          question.summary() || !question.by().isEmpty() || !question.across().isEmpty();
      boolean added =
          c.type() == Type.MONEY && !running(c.key())
              || grouped && c.type() == Type.QUANTITY && !running(c.key())
              || grouped && c.type() == Type.NUMBER && how(c.key()) == How.COUNT;
      boolean averaged = how(c.key()) != How.SUM && how(c.key()) != How.COUNT;
      return new Column(c.key(), c.heading(), sql, c.type(), link, added && !averaged, false);
    }

    private How how(String key) {
      String base =
          key.contains("_") && !subject.column(key).isPresent()
              ? key.substring(0, key.lastIndexOf('_'))
              : key;
      return question.see().stream()
          .filter(s -> s.column().equals(base))
          .map(Question.Seen::how)
          .findFirst()
          .orElse(How.SUM);
    }

    private static String quoted(String key) {
      return "`" + key.replace("`", "") + "`";
    }
  }
}
