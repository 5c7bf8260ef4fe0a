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
import zinctally.store.listing.Listing.Column;
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
  private static final Pattern OF_ROWS = Pattern.compile("about|(if|calc)\\..*");
  private static final int FIRST_OF_GROUP = 17;
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
            behind(
                subject.get(), typed, question, questions.answer(called, subject.get(), question)),
            keys));
  }

  /** Sums lead to the rows they are of: the same question, of that group alone. */
  private static Answer behind(Subject subject, Typed typed, Question question, Answer answer) {
    if (!question.summary() && question.across().isEmpty() || question.any()) return answer;
    Map<String, String> rows = new LinkedHashMap<>();
    typed
        .kept()
        .forEach(
            (name, value) -> {
              if (OF_ROWS.matcher(name).matches()) rows.put(name, value);
            });
    StringBuilder link = new StringBuilder(new Address("/ask/build", rows).toString());
    int number = FIRST_OF_GROUP;
    for (String by : question.by()) {
      Optional<Column> group =
          answer.listing().columns().stream().filter(c -> c.key().equals(by)).findFirst();
      if (group.isEmpty() || group.get().type().figure()) return answer;
      String condition = "&if." + number++;
      link.append(condition).append('=').append(by);
      link.append(condition).append(".test=IS");
      link.append(condition).append(".a={").append(by).append('}');
    }
    String side =
        "&if."
            + number
            + "="
            + question.across()
            + "&if."
            + number
            + ".test=IS&if."
            + number
            + ".a=";
    return new Answer(
        answer
            .listing()
            .leading(
                c -> {
                  String value = answer.beside().get(c.key());
                  if (value != null) return link + side + Address.encoded(value);
                  return c.type().figure() && subject.column(c.key()).isPresent()
                      ? link.toString()
                      : c.link();
                }),
        answer.faults(),
        answer.divides(),
        answer.beside());
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
