package zinctally.web.ask;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;
import zinctally.core.question.Question;
import zinctally.core.question.Typed;
import zinctally.store.question.Answer;
import zinctally.store.question.Questions;
import zinctally.store.question.Subject;
import zinctally.store.question.Subjects;
import zinctally.web.listing.Address;
import zinctally.web.shell.Sees;

/** Reads a question as it stands in an address, and asks it, of what its asker may read. */
@Component
class Asking {
  private static final Pattern OF_COLUMN =
      Pattern.compile("(see|if|order)\\.\\d+|calc\\.\\d+\\.[ab]|by\\.[123]|across");
  private static final Pattern WORKED = Pattern.compile("calc\\.\\d{1,2}");
  private static final Pattern WORKED_NAME = Pattern.compile("calc\\.\\d{1,2}\\.as");
  private final Questions questions;

  Asking(Questions questions) {
    this.questions = questions;
  }

  /** A question that was asked, and what came of it. */
  record Asked(
      Subject subject, Typed typed, Question question, Answer answer, UnaryOperator<String> keys) {
    /** The heading of a column that was typed. */
    String heading(String column) {
      return BuilderView.heading(subject, column, typed.kept());
    }

    /** As it is kept: with the keys of its columns, which stay when a heading is worded anew. */
    String kept() {
      Map<String, String> kept = new LinkedHashMap<>();
      typed
          .kept()
          .forEach(
              (name, value) ->
                  kept.put(name, OF_COLUMN.matcher(name).matches() ? keys.apply(value) : value));
      String address = new Address("", kept).toString();
      return address.isEmpty() ? "" : address.substring(1);
    }
  }

  /** What an asker can ask about. */
  List<Subject> subjects(Sees.By by) {
    return Subjects.seen(by.costs(), by.given().ledger());
  }

  /** Empty when there is no such subject, or it is not for the asker. */
  Optional<Asked> ask(String name, Map<String, String> asked, Sees.By by) {
    Optional<Subject> subject =
        Subjects.find(asked.getOrDefault("about", ""), by.costs(), by.given().ledger());
    if (subject.isEmpty()) return Optional.empty();
    UnaryOperator<String> keys = keys(subject.get(), asked);
    Typed typed = new Typed(asked, keys);
    Question question = typed.question();
    String called = name.isEmpty() ? subject.get().name() : name;
    return Optional.of(
        new Asked(
            subject.get(),
            typed,
            question,
            questions.answer(called, subject.get(), question),
            keys));
  }

  /** Columns by their keys or headings, those that are worked out by the names they were given. */
  private static UnaryOperator<String> keys(Subject subject, Map<String, String> asked) {
    Map<String, String> named = new LinkedHashMap<>();
    asked.forEach(
        (name, value) -> {
          if (WORKED_NAME.matcher(name).matches() && !value.isBlank())
            named.put(value.strip().toLowerCase(Locale.ROOT), name.substring(0, name.length() - 3));
        });
    return typed ->
        WORKED.matcher(typed).matches()
            ? typed
            : Optional.ofNullable(named.get(typed.strip().toLowerCase(Locale.ROOT)))
                .orElseGet(() -> subject.keyOf(typed));
  }

  /** Names and values of a question that is kept. */
  static Map<String, String> read(String kept) {
    Map<String, String> asked = new LinkedHashMap<>();
    UriComponentsBuilder.newInstance()
        .query(kept)
        .build()
        .getQueryParams()
        .forEach(
            (name, values) -> {
              String value = values.isEmpty() ? null : values.get(0);
              if (value != null)
                asked.put(
                    UriUtils.decode(name, StandardCharsets.UTF_8),
                    UriUtils.decode(value, StandardCharsets.UTF_8));
            });
    return asked;
  }
}
