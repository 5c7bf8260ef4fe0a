package zinctally.store.question;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zinctally.core.question.How;
import zinctally.core.question.Question;
import zinctally.core.question.Reckoning;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;
import zinctally.store.listing.Listing.Type;
import zinctally.store.listing.TypedValues;
import zinctally.store.question.Cols.Col;

/** What lists of rows and lists of what rows come to have in common while they are made. */
abstract class Making {
  final String name;
  final Subject subject;
  final Question question;
  final Cols cols;
  final Map<String, Object> params;

  /** The value that each column side by side stands under, by its key. */
  final Map<String, String> beside = new HashMap<>();

  private final String which;
  private final List<String> used;

  Making(String name, Subject subject, Question question, TypedValues values, List<String> faults) {
    this.name = name;
    this.subject = subject;
    this.question = question;
    this.cols = new Cols(subject, question, faults);
    this.params = new HashMap<>();
    params.put("minor", BigDecimal.TEN.pow(values.coin().digits()));
    Which asked = new Which(cols, values, params);
    this.which = asked.sql(question);
    this.used = new ArrayList<>(asked.used());
  }

  /** The columns that rows are put together by. */
  List<Col> by() {
    List<Col> by = new ArrayList<>();
    for (String key : question.by()) cols.row(key).filter(this::groups).ifPresent(by::add);
    return by;
  }

  /** The list, put together by some columns. */
  abstract Listing listing(List<Col> by);

  boolean groups(Col c) {
    if (!cols.ofAll(c.key())) return true;
    cols.say(c.heading() + " looks at other rows, so that nothing can be put together by it.");
    return false;
  }

  List<Question.Seen> seen() {
    return question.see().isEmpty()
        ? subject.usual().stream()
            .filter(k -> subject.column(k).isPresent())
            .map(k -> new Question.Seen(k, How.SUM, ""))
            .toList()
        : question.see();
  }

  boolean running(String key) {
    return question.worked().stream()
        .anyMatch(w -> w.key().equals(key) && w.reckoning() == Reckoning.RUNNING);
  }

  String limited(String order) {
    return question.top() == 0 ? "" : " order by " + order + " limit " + question.top();
  }

  /** A table that is large is added up first, where that tells as much. */
  Optional<Thinned> thinned(List<Col> keys, List<Col> figures) {
    List<Col> rows = new ArrayList<>();
    for (Col figure : figures) {
      if (subject.column(figure.key()).isEmpty()) return Optional.empty();
      cols.row(figure.key()).ifPresent(row -> rows.add(figure.of(figure.key(), row.sql())));
    }
    List<String> conditions = new ArrayList<>(used);
    conditions.add(subject.where());
    conditions.add(which);
    return Thinned.of(subject, keys, rows, conditions);
  }

  /** Which rows a question is about. */
  String where() {
    return subject.where() + which;
  }

  String from(List<String> needed) {
    List<String> all = new ArrayList<>(needed);
    all.addAll(used);
    return subject.from(all) + which;
  }

  /** Money is added up; quantities and numbers are, where they are what rows come to. */
  Column column(Col c, String sql, String link) {
    boolean grouped =
        question.summary() || !question.by().isEmpty() || !question.across().isEmpty();
    boolean added =
        c.type() == Type.MONEY && !running(c.key())
            || grouped && c.type() == Type.QUANTITY && !running(c.key())
            || grouped && c.type() == Type.NUMBER && c.how() == How.COUNT;
    boolean averaged = c.how() != How.SUM && c.how() != How.COUNT;
    Column column = new Column(c.key(), c.heading(), sql, c.type(), link);
    return added && !averaged ? column.addedUp() : column.apart();
  }

  static String quoted(String key) {
    return "`" + key.replace("`", "") + "`";
  }
}
