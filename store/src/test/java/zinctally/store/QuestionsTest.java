package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.TreeMap;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.jdbc.core.JdbcTemplate;
import zinctally.core.question.Typed;
import zinctally.store.listing.Ask;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;
import zinctally.store.listing.Listing.Type;
import zinctally.store.listing.ListingStore;
import zinctally.store.question.Answer;
import zinctally.store.question.Questions;
import zinctally.store.question.ReadyQuestions;
import zinctally.store.question.Subject;
import zinctally.store.question.Subjects;

/** What people ask comes out as somebody would reckon it who has all rows before him. */
class QuestionsTest extends OneBookTest {
  @BeforeAll
  static void trade() {
    for (String item : List.of("SMK", "HIVE", "JAR")) book.item(item, "FIFO");
    for (int day = 1; day <= 9; day++) {
      book.bill("2026-02-0" + day, "SMK", "9", "2.00", "JAR", "50", "0.3" + day);
      book.bill("2026-02-1" + day, "HIVE", "" + day, "41.10");
      book.invoice("2026-03-0" + day, "SMK", "" + (1 + day % 4), "5.00", "JAR", "7", "0.90");
      book.invoice("2026-04-1" + day, "JAR", "" + day, "0.85");
    }
  }

  private static Subject subject(String key) {
    return Subjects.find(key, true, true).orElseThrow();
  }

  private static Answer answer(Map<String, String> typed) {
    Subject subject = subject(typed.get("about"));
    Typed read = new Typed(typed, t -> t.startsWith("calc.") ? t : subject.keyOf(t));
    return book.get(Questions.class).answer("", subject, read.question());
  }

  private static Map<String, String> asked(String address) {
    Map<String, String> typed = new LinkedHashMap<>();
    for (String part : address.split("&"))
      typed.put(part.substring(0, part.indexOf('=')), part.substring(part.indexOf('=') + 1));
    return typed;
  }

  private static List<Map<String, Object>> rows(Listing listing) {
    List<Map<String, Object>> rows = new ArrayList<>();
    book.get(ListingStore.class).all(listing, Ask.ALL, rows::add);
    return rows;
  }

  private static List<Map<String, Object>> rows(String address) {
    Answer answer = answer(asked(address));
    assertThat(answer.faults()).isEmpty();
    return rows(answer.listing());
  }

  static List<String> subjects() {
    return Subjects.seen(true, true).stream().map(Subject::key).toList();
  }

  @Test
  void there_are_fifteen_subjects_or_more_and_each_says_what_a_row_is() {
    assertThat(Subjects.seen(true, true))
        .hasSizeGreaterThanOrEqualTo(15)
        .allMatch(s -> s.sentence().endsWith("."));
  }

  /**
   * Every column of every subject, alone, put together and side by side; headings are told apart.
   */
  @ParameterizedTest
  @MethodSource("subjects")
  void every_column_can_be_seen_asked_and_put_together(String key) {
    Subject subject = subject(key);
    assertThat(subject.shown().stream().map(p -> p.column().heading())).doesNotHaveDuplicates();
    Map<String, String> all = new LinkedHashMap<>(Map.of("about", key));
    int n = 0;
    for (Subject.Part part : subject.shown()) {
      Column c = part.column();
      all.put("see." + ++n, c.key());
      rows("about=" + key + "&see.1=" + c.key() + "&order.1=" + c.key() + "&order.1.down=on");
      rows(
          "about="
              + key
              + "&see.1="
              + c.key()
              + "&see.1.how=COUNT&by.1="
              + c.key()
              + "&summary=on");
      rows("about=" + key + "&if.1=" + c.key() + "&if.1.test=NOT_EMPTY&by.1=" + c.key());
    }
    assertThat(rows(answer(all).listing()).size()).isEqualTo(rows("about=" + key).size());
  }

  @ParameterizedTest
  @MethodSource("ready")
  void every_ready_answer_answers(String asked) {
    assertThat(answer(asked(asked.replace("%25", "%"))).faults()).isEmpty();
    rows(answer(asked(asked.replace("%25", "%"))).listing());
  }

  static List<String> ready() {
    return ReadyQuestions.ALL.stream().map(ReadyQuestions.Ready::asked).toList();
  }

  /**
   * By hand: 9 days, 9 smokers at 2.00 each day are 162.00; of jars 50 at 0.31 to 0.39 are 157.50.
   */
  @Test
  void sums_by_group_are_those_worked_by_hand() {
    List<Map<String, Object>> rows =
        rows(
            "about=purchases&see.1=net&see.2=quantity&by.1=item&summary=on&order.1=net&order.1.down=on");
    assertThat(rows)
        .extracting(r -> r.get("item"))
        .containsExactly("Item HIVE", "Item SMK", "Item JAR");
    assertThat(rows)
        .extracting(r -> ((Number) r.get("net")).longValue())
        .containsExactly(184950L, 16200L, 15750L);
  }

  /** The same sums by SQL of the tables alone. */
  @Test
  void sales_and_margin_are_those_of_plain_sql() {
    Map<String, Object> all =
        rows("about=sales&see.1=net&see.2=cost&see.3=quantity&summary=on").get(0);
    assertThat(((Number) all.get("net")).longValue())
        .isEqualTo(
            -book.sql()
                .sql(
                    "select sum(l.amount) from journal_line l join account a on a.id = l.account_id"
                        + " where a.kind = 'INCOME'")
                .query(Long.class)
                .single());
    assertThat(((Number) all.get("cost")).longValue())
        .isEqualTo(
            book.sql()
                .sql(
                    "select sum(l.amount) from journal_line l join account a on a.id = l.account_id"
                        + " where a.role = 'COST_OF_GOODS_SOLD'")
                .query(Long.class)
                .single());
    assertThat(
            ((Number) rows("about=stock&see.1=value&summary=on").get(0).get("value")).longValue())
        .isEqualTo(book.sql().sql("select sum(worth) from cost_pool").query(Long.class).single());
  }

  @Test
  void months_stand_side_by_side_with_what_they_come_to() {
    List<Map<String, Object>> rows =
        rows("about=sales&see.1=net&by.1=item&across=calc.1&calc.1=MONTH&calc.1.a=date&summary=on");
    Map<String, Object> jars =
        rows.stream().filter(r -> "Item JAR".equals(r.get("item"))).findFirst().orElseThrow();
    assertThat(((Number) jars.get("net_0")).longValue()).isEqualTo(9 * 630);
    assertThat(((Number) jars.get("net")).longValue())
        .isEqualTo(
            ((Number) jars.get("net_0")).longValue() + ((Number) jars.get("net_1")).longValue());
  }

  @Test
  void rows_put_together_say_what_they_come_to_after_the_last_of_them() {
    Answer answer = answer(asked("about=sales&see.1=date&see.2=net&by.1=item"));
    assertThat(answer.listing().subtotals("")).hasSize(1);
    Map<Object, BigDecimal> sums = new HashMap<>();
    Map<Object, Integer> ends = new HashMap<>();
    for (Map<String, Object> row : rows(answer.listing())) {
      sums.merge(row.get("item"), new BigDecimal(row.get("net").toString()), BigDecimal::add);
      if (((Number) row.get("_last1")).intValue() != 0) {
        ends.merge(row.get("item"), 1, Integer::sum);
        assertThat(new BigDecimal(row.get("_sum1_net").toString()))
            .isEqualByComparingTo(sums.get(row.get("item")));
      }
    }
    assertThat(ends.values()).hasSize(2).allMatch(n -> n == 1);
  }

  @Test
  void an_average_is_one_also_of_what_is_worked_out_and_side_by_side() {
    Map<String, Object> all =
        rows("about=sales&see.1=calc.1&see.1.how=AVERAGE&see.2=price&see.2.how=AVERAGE&calc.1=DIFFERENCE"
                + "&calc.1.a=net&calc.1.b=tax&if.1=item&if.1.test=IS&if.1.a=Item SMK&summary=on")
            .get(0);
    assertThat(((Number) all.get("calc.1")).longValue())
        .isEqualTo(
            book.sql()
                .sql(
                    "select round(avg(n.net - n.tax)) from paper_line n join paper p on p.id = n.paper_id"
                        + " join item i on i.id = n.item_id where p.kind = 'INVOICE' and i.code = 'SMK'")
                .query(Long.class)
                .single());
    assertThat((BigDecimal) all.get("price")).isEqualByComparingTo("5");
    Map<String, Object> jars =
        rows("about=sales&see.1=price&see.1.how=AVERAGE&across=item&summary=on&if.1=item"
                + "&if.1.test=IS&if.1.a=Item JAR&if.2=date&if.2.test=IS&if.2.a=2026-03")
            .get(0);
    assertThat((BigDecimal) jars.get("price_0")).isEqualByComparingTo("0.9");
  }

  /** A month that is typed is meant whole, whatever is asked of a day or a moment. */
  @Test
  void a_month_is_meant_from_its_first_day_to_its_last() {
    long all = rows("about=sales").size();
    long march = rows("about=sales&if.1=date&if.1.test=IS&if.1.a=2026-03").size();
    assertThat(march).isEqualTo(18);
    assertThat(rows("about=sales&if.1=date&if.1.test=IS_NOT&if.1.a=2026-03"))
        .hasSize((int) (all - march));
    assertThat(rows("about=sales&if.1=date&if.1.test=MORE&if.1.a=2026-03"))
        .hasSize((int) (all - march));
    assertThat(rows("about=sales&if.1=date&if.1.test=AT_MOST&if.1.a=2026-03")).hasSize((int) march);
    assertThat(rows("about=papers&if.1=posted&if.1.test=MORE&if.1.a=2026-06-30")).isEmpty();
    assertThat(rows("about=papers&if.1=posted&if.1.test=LESS&if.1.a=2026-06-30")).isEmpty();
    assertThat(rows("about=papers&if.1=posted&if.1.test=IS&if.1.a=2026-06")).isNotEmpty();
  }

  /** The database gives up what is bounded, and the application is told so in a way it can say. */
  @Test
  void what_takes_too_long_is_given_up_in_the_database() {
    JdbcTemplate bounded = new JdbcTemplate(book.get(DataSource.class));
    bounded.setQueryTimeout(1);
    assertThatThrownBy(
            () ->
                bounded.queryForList(
                    "select count(*) from seq_1_to_100000000 a join seq_1_to_100000000 b on a.seq % 7 = b.seq % 5"))
        .isInstanceOf(QueryTimeoutException.class);
  }

  @Test
  void what_is_worked_out_of_sums_is_worked_out_of_the_sums() {
    Map<String, Object> all =
        rows("about=sales&see.1=net&see.2=margin&see.3=calc.1&calc.1=PERCENT&calc.1.a=margin&calc.1.b=net&summary=on")
            .get(0);
    BigDecimal share = (BigDecimal) all.get("calc.1");
    assertThat(share)
        .isEqualByComparingTo(
            new BigDecimal(all.get("margin").toString())
                .multiply(BigDecimal.valueOf(100))
                .divide(new BigDecimal(all.get("net").toString()), 1, RoundingMode.HALF_UP));
  }

  /** Two hundred questions made up by dice, held against a reckoning over all rows in memory. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void two_hundred_questions_come_out_as_reckoned_in_memory(long seed) {
    Random dice = new Random(seed);
    for (int n = 0; n < 25; n++) {
      String key =
          List.of("sales", "movements", "costs", "papers", "journal", "stock", "items")
              .get(dice.nextInt(7));
      Subject subject = subject(key);
      List<Column> texts = of(subject, Type.TEXT);
      List<Column> figures =
          subject.shown().stream()
              .map(Subject.Part::column)
              .filter(c -> c.type() == Type.MONEY || c.type() == Type.QUANTITY)
              .toList();
      Column group = texts.get(dice.nextInt(texts.size()));
      Column figure = figures.get(dice.nextInt(figures.size()));
      Column asked = figures.get(dice.nextInt(figures.size()));
      boolean atLeast = dice.nextBoolean();
      BigDecimal bound = new BigDecimal(dice.nextInt(300) - 50).movePointLeft(dice.nextInt(2));
      long stored = bound.movePointRight(asked.type() == Type.MONEY ? 2 : 6).longValueExact();
      String address =
          "about="
              + key
              + "&see.1="
              + figure.key()
              + "&by.1="
              + group.key()
              + "&summary=on&if.1="
              + asked.key()
              + "&if.1.test="
              + (atLeast ? "AT_LEAST" : "LESS")
              + "&if.1.a="
              + bound.toPlainString();
      List<Map<String, Object>> all =
          rows(
              "about="
                  + key
                  + "&see.1="
                  + group.key()
                  + "&see.2="
                  + figure.key()
                  + "&see.3="
                  + asked.key());
      Map<String, Long> reckoned = new TreeMap<>();
      for (Map<String, Object> row : all) {
        Object value = row.get(asked.key());
        if (value == null) continue;
        long is = new BigDecimal(value.toString()).longValue();
        if (atLeast ? is >= stored : is < stored)
          reckoned.merge(
              Objects.toString(row.get(group.key()), ""),
              row.get(figure.key()) == null
                  ? 0L
                  : new BigDecimal(row.get(figure.key()).toString()).longValue(),
              Long::sum);
      }
      Map<String, Long> answered = new TreeMap<>();
      for (Map<String, Object> row : rows(address))
        answered.merge(
            Objects.toString(row.get(group.key()), ""),
            row.get(figure.key()) == null
                ? 0L
                : new BigDecimal(row.get(figure.key()).toString()).longValue(),
            Long::sum);
      assertThat(answered).as("seed %d: %s", seed, address).isEqualTo(reckoned);
    }
  }

  private static List<Column> of(Subject subject, Type type) {
    return subject.shown().stream()
        .map(Subject.Part::column)
        .filter(c -> c.type() == type)
        .sorted(Comparator.comparing(Column::key))
        .toList();
  }

  /** Whatever is typed anywhere, the answer is a list or a sentence, and nothing else happens. */
  @ParameterizedTest
  @ValueSource(longs = {11, 12, 13, 14})
  void whatever_is_typed_is_only_ever_a_value(long seed) {
    Random dice = new Random(seed);
    List<String> nasty =
        List.of(
            "' or 1=1 --",
            "`; drop table paper; --",
            ":asked1",
            "%",
            "_",
            "\\",
            "\"",
            "item`",
            "1e999",
            "-1",
            "2026-99-99",
            "?",
            "(select 1)",
            "x".repeat(400),
            "\u0000",
            "calc.1",
            "calc.2",
            "{id}",
            ";",
            "0x00",
            "null");
    List<String> names =
        List.of(
            "see.1",
            "see.1.how",
            "see.1.as",
            "see.2",
            "if.1",
            "if.1.test",
            "if.1.a",
            "if.1.b",
            "by.1",
            "by.2",
            "across",
            "order.1",
            "order.1.down",
            "top",
            "calc.1",
            "calc.1.a",
            "calc.1.b",
            "calc.1.as",
            "calc.2",
            "calc.2.a",
            "calc.2.b",
            "any",
            "summary",
            "chart");
    List<String> sound =
        List.of(
            "item",
            "net",
            "date",
            "quantity",
            "party",
            "on",
            "MONTH",
            "RATIO",
            "PERCENT",
            "SHARE",
            "RUNNING",
            "BETWEEN",
            "ONE_OF",
            "BELOW",
            "LAST_DAYS",
            "IS_NOT",
            "COUNT",
            "AVERAGE",
            "5",
            "calc.1",
            "2026-03");
    long before = book.sql().sql("select count(*) from paper").query(Long.class).single();
    for (int n = 0; n < 150; n++) {
      Map<String, String> typed =
          new LinkedHashMap<>(Map.of("about", dice.nextBoolean() ? "sales" : "movements"));
      for (int k = 0; k < 9; k++) {
        List<String> from = dice.nextInt(3) == 0 ? nasty : sound;
        typed.put(names.get(dice.nextInt(names.size())), from.get(dice.nextInt(from.size())));
      }
      assertThat(rows(answer(typed).listing())).as("seed %d: %s", seed, typed).isNotNull();
    }
    assertThat(book.sql().sql("select count(*) from paper").query(Long.class).single())
        .isEqualTo(before);
  }

  /**
   * Large tables are added up before names are joined to them: the same comes of it as of adding up
   * every row in memory, put together by what is joined, by what is the table's own, and by both.
   */
  @ParameterizedTest
  @CsvSource({
    "movements, item, came, moved",
    "movements, group place, left, moved",
    "movements, calc.1 group, quantity, moved",
    "movements, standing, quantity, moved",
    "movements, number, came, moved",
    "costs, group account, value, booked",
    "costs, calc.1, value, booked",
    "journal, account, debit, day",
    "journal, calc.1 account, amount, day",
    "journal, party, credit, day"
  })
  void sums_of_a_large_table_are_those_of_its_rows(
      String about, String by, String figure, String day) {
    String[] keys = by.split(" ");
    String month = "&calc.1=MONTH&calc.1.a=" + day;
    String days = "&if.1=" + day + "&if.1.test=BETWEEN&if.1.a=2026-02-04&if.1.b=2026-03-25";
    String grouped = "about=" + about + month + days + "&summary=on&see.1=" + figure + "&see.2=";
    StringBuilder each = new StringBuilder("about=" + about + month + days + "&see.1=" + figure);
    StringBuilder sums = new StringBuilder(grouped + day + "&see.2.how=COUNT");
    for (int k = 0; k < keys.length; k++) {
      each.append("&see.").append(k + 2).append("=").append(keys[k]);
      sums.append("&by.").append(k + 1).append("=").append(keys[k]);
    }
    Map<List<String>, List<Long>> expected = new HashMap<>();
    for (Map<String, Object> row : rows(each.toString()))
      expected.merge(
          key(row, keys),
          List.of(((Number) row.get(figure)).longValue(), 1L),
          (a, b) -> List.of(a.get(0) + b.get(0), a.get(1) + b.get(1)));
    assertThat(expected).hasSizeGreaterThan(0);
    Map<List<String>, List<Long>> said = new HashMap<>();
    for (Map<String, Object> row : rows(sums.toString()))
      said.put(
          key(row, keys),
          List.of(((Number) row.get(figure)).longValue(), ((Number) row.get(day)).longValue()));
    assertThat(said).isEqualTo(expected);
    List<Map<String, Object>> across = rows(sums + "&across=calc.1");
    long all = expected.values().stream().mapToLong(v -> v.get(0)).sum();
    assertThat(across.stream().mapToLong(r -> ((Number) r.get(figure)).longValue()).sum())
        .isEqualTo(all);
    assertThat(
            across.stream()
                .mapToLong(
                    r ->
                        r.entrySet().stream()
                            .filter(
                                e -> e.getKey().startsWith(figure + "_") && e.getValue() != null)
                            .mapToLong(e -> ((Number) e.getValue()).longValue())
                            .sum())
                .sum())
        .isEqualTo(all);
  }

  private static List<String> key(Map<String, Object> row, String... keys) {
    return Arrays.stream(keys).map(k -> String.valueOf(row.get(k))).toList();
  }

  @Test
  void what_cannot_be_done_is_said_and_the_rest_is_answered() {
    assertThat(answer(asked("about=sales&see.1=gone&see.2=net")).faults())
        .singleElement()
        .asString()
        .contains("no column \"gone\"");
    Answer backwards =
        answer(
            asked("about=sales&if.1=date&if.1.test=BETWEEN&if.1.a=2026-05-01&if.1.b=2026-04-01"));
    assertThat(backwards.faults())
        .singleElement()
        .asString()
        .contains("the first is after the second");
    assertThat(rows(backwards.listing())).isEmpty();
    Answer zero =
        answer(
            asked(
                "about=sales&see.1=item&see.2=calc.1&calc.1=RATIO&calc.1.a=net&calc.1.b=discount"));
    assertThat(zero.divides()).isTrue();
    assertThat(rows(zero.listing())).isNotEmpty().allMatch(r -> r.get("calc.1") == null);
    assertThat(
            answer(
                    asked(
                        "about=sales&see.1=calc.1&see.2=net&calc.1=SUM&calc.1.a=calc.1&calc.1.b=net"))
                .faults())
        .anyMatch(f -> f.contains("worked out of itself"));
    assertThat(
            answer(
                    asked(
                        "about=sales&see.1=net&calc.1=SUM&see.2=calc.1&calc.1.a=net&calc.1.b=quantity"))
                .faults())
        .anyMatch(f -> f.contains("two of one kind"));
    assertThat(answer(asked("about=sales&if.1=net&if.1.test=MORE&if.1.a=much")).faults())
        .anyMatch(f -> f.contains("\"much\" is not a figure"));
  }

  @Test
  void who_does_not_see_costs_has_no_columns_of_cost_nor_the_ledger() {
    assertThat(Subjects.find("journal", true, false)).isEmpty();
    assertThat(Subjects.find("sales", false, false).orElseThrow().column("margin")).isEmpty();
  }
}
