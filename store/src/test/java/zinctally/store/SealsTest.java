package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.transaction.support.TransactionTemplate;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.seal.Seal;
import zinctally.store.check.Closing;
import zinctally.store.parties.MergeStore;
import zinctally.store.parties.PersonStore;
import zinctally.store.seal.SealStore;
import zinctally.store.seal.Sealer;
import zinctally.store.seal.Verifying;

/** What was posted is sealed, and whatever is changed in it behind the book's back is found. */
class SealsTest extends OneBookTest {
  private static long bill;

  @BeforeAll
  static void posted() throws Exception {
    book.item("SMK", "FIFO");
    bill = book.bill("2026-01-10", "SMK", "10", "2.00");
    book.invoice("2026-01-20", "SMK", "4", "9");
    book.get(Closing.class).close(LocalDate.of(2026, 1, 1), "", "tester");
    long gone = book.bill("2026-03-01", "SMK", "1", "3.00");
    book.voidOn("2026-03-02", gone);
    long more = book.bill("2026-03-03", "SMK", "5", "2.50");
    book.amend(
        more,
        PaperKind.BILL,
        Map.of("date", "2026-03-03", "supplier", "Orrin Joinery", "place", "Store"),
        FreshBook.rows("SMK", "5", "2.60"));
    book.get(Sealer.class).seal();
  }

  private static List<String> faults() {
    return book.get(Verifying.class).all().stream().flatMap(v -> v.faults().stream()).toList();
  }

  @Test
  void what_nobody_touched_is_as_it_was_sealed() {
    assertThat(faults()).isEmpty();
    assertThat(book.get(Verifying.class).all())
        .filteredOn(v -> v.what().contains("sealed posting"))
        .allMatch(v -> v.looked() == 7);
  }

  @Test
  void sealing_again_makes_no_seal_of_nothing() {
    Seal last = book.get(Sealer.class).seal().orElseThrow();
    assertThat(book.get(Sealer.class).seal()).contains(last);
  }

  static Stream<Arguments> edits() {
    String first = "B-2026-0001";
    String journal = "(select min(id) from journal)";
    String sale = "INV-2026-0001";
    return Stream.of(
        edit(
            "an amount in the ledger",
            first,
            "update journal_line set amount = amount + 1 where journal_id = "
                + journal
                + " and amount > 0"),
        edit(
            "both sides of an entry",
            first,
            "update journal_line set amount = amount * 2 where journal_id = " + journal),
        edit(
            "the account of a line",
            first,
            "update journal_line set account_id = account_id + 1 where journal_id = "
                + journal
                + " and line = 0"),
        edit(
            "the day of a line",
            first,
            "update journal_line set date = '2026-01-11' where journal_id = " + journal),
        edit(
            "the item of a line",
            first,
            "update journal_line set item_id = 99 where journal_id = "
                + journal
                + " and item_id <> 0"),
        edit(
            "a note in the ledger",
            first,
            "update journal_line set memo = 'something else' where journal_id = "
                + journal
                + " and line = 0"),
        edit(
            "a line of the ledger goes",
            first,
            "delete from journal_line where journal_id = " + journal + " and line = 0"),
        edit(
            "a line of the ledger comes",
            first,
            "insert into journal_line (journal_id, line, account_id, date, amount) select id, 9, 1, date, 0 from journal where id = "
                + journal),
        edit(
            "the day of an entry",
            first,
            "update journal set date = '2026-01-11' where id = " + journal),
        edit(
            "whether an entry takes back",
            first,
            "update journal set reverses = not reverses where id = " + journal),
        edit(
            "when an entry was made",
            first,
            "update journal set entered_at = '2026-01-10 10:00' where id = " + journal),
        edit(
            "which posting made an entry",
            first,
            "update journal set posting_id = 2 where id = " + journal),
        edit(
            "a cost in the stock book",
            sale,
            "update cost_entry set value = value - 1 where posting_id = 2"),
        edit(
            "a quantity in the stock book",
            sale,
            "update cost_entry set quantity = quantity - 1000000 where posting_id = 2"),
        edit(
            "the day of a cost",
            sale,
            "update cost_entry set posting_date = '2026-02-01' where posting_id = 2"),
        edit("a cost goes", sale, "delete from cost_entry where posting_id = 2"),
        edit(
            "how much moved",
            sale,
            "update quantity_move set quantity = -3000000 where posting_id = 2"),
        edit(
            "when it moved",
            sale,
            "update quantity_move set date = '2026-01-21' where posting_id = 2"),
        edit(
            "what was typed",
            sale,
            "update paper_version set text = replace(text, 'Fenwick', 'Alder') where paper_id = 2"),
        edit(
            "who posted a version",
            sale,
            "update paper_version set posted_by = 'somebody' where paper_id = 2"),
        edit("the price on a line", sale, "update paper_line set price = 8 where paper_id = 2"),
        edit(
            "the quantity on a line",
            sale,
            "update paper_line set quantity = 3000000 where paper_id = 2"),
        edit("the tax on a line", sale, "update paper_line set tax = 1 where paper_id = 2"),
        edit(
            "words on a line",
            sale,
            "update paper_line set wording = 'Another' where paper_id = 2"),
        edit(
            "a paper's number",
            "INV-2026-0009",
            "update paper set number = 'INV-2026-0009' where id = 2"),
        edit("who posted", sale, "update posting set login = 'somebody' where id = 2"),
        edit(
            "when it was posted", sale, "update posting set at = at - interval 1 day where id = 2"),
        edit(
            "what was done",
            "B-2026-0002",
            "update posting set what = 'posted' where what = 'voided'"),
        edit(
            "a posting that was made before comes later",
            "is not sealed",
            "insert into posting (paper_id, version, what, at, login) values (1, 7, 'posted', '2026-01-10 09:00', 'x')"),
        edit("a posting goes", "posting 3", "delete from posting where id = 3"),
        edit(
            "what the audit trail says was done",
            "audit line 1",
            "update audit set what = 'looked at it' where id = 1"),
        edit(
            "who did it in the audit trail",
            "audit line 1",
            "update audit set login = 'somebody' where id = 1"),
        edit(
            "what was there before in the audit trail",
            "audit line 1",
            "update audit set before_text = 'nothing' where id = 1"),
        edit(
            "a line of the audit trail goes", "audit 2: is gone", "delete from audit where id = 2"),
        edit("a closed month is opened", "2026-01: is open", "delete from period"),
        edit(
            "an open month is closed",
            "2026-02: is closed",
            "insert into period (month, closed_at, closed_by) values ('2026-02-01', now(), 'x')"),
        edit(
            "to when the book is closed",
            "the book is closed to",
            "update book set closed_to = null"),
        edit("a seal goes", "seal 1 is gone", "delete from seal where no = 1"),
        edit(
            "a seal's time", "seal 1 of", "update seal set at = at - interval 1 hour where no = 1"),
        edit(
            "a leaf and what it is of",
            "leaves of seal",
            "update seal_leaf l join seal_leaf o on o.kind = 'posting' and o.of_id = 1 set l.figures = o.figures where l.kind = 'posting' and l.of_id = 2"),
        edit("a leaf goes", "leaves", "delete from seal_leaf where kind = 'posting' and of_id = 2"),
        edit(
            "words by a change that was made up",
            "does not follow",
            "insert into seal_change (kind, of_id, was, becomes, at, login, why) select 'posting', 2, figures, words, now(), 'x', 'y' from seal_leaf where kind = 'posting' and of_id = 2"));
  }

  private static Arguments edit(String what, String names, String sql) {
    return Arguments.of(what, names, sql);
  }

  /** Each as who owns the database could do it; taken back afterwards. */
  @ParameterizedTest(name = "{0}")
  @MethodSource("edits")
  void is_found_and_named(String what, String names, String edit) {
    List<String> found =
        book.get(TransactionTemplate.class)
            .execute(
                status -> {
                  status.setRollbackOnly();
                  book.sql().sql("set foreign_key_checks = 0").update();
                  try {
                    assertThat(book.sql().sql(edit).update()).isPositive();
                    return faults();
                  } finally {
                    book.sql().sql("set foreign_key_checks = 1").update();
                  }
                });
    assertThat(found).anyMatch(f -> f.contains(names));
    assertThat(faults()).isEmpty();
  }

  @Test
  void a_posting_made_up_for_an_earlier_day_is_found_though_it_is_sealed() {
    List<String> found =
        book.get(TransactionTemplate.class)
            .execute(
                status -> {
                  status.setRollbackOnly();
                  book.sql()
                      .sql(
                          "insert into posting (paper_id, version, what, at, login)"
                              + " values (1, 7, 'posted', '2026-06-28 09:00', 'x')")
                      .update();
                  book.get(Sealer.class).seal();
                  return faults();
                });
    assertThat(found).anyMatch(f -> f.startsWith("B-2026-0001: seal"));
  }

  @Test
  void a_year_is_closed_whole_and_sealed_or_not_at_all() throws Exception {
    try (FreshBook old = new FreshBook()) {
      old.sql().sql("update book set cut_over = '2025-10-01'").update();
      Closing closing = old.get(Closing.class);
      assertThatThrownBy(() -> closing.closeYear(LocalDate.of(2026, 12, 1), "", "tester"))
          .hasMessageContaining("not over yet");
      assertThat(old.sql().sql("select count(*) from period").query(Long.class).single()).isZero();
      closing.closeYear(LocalDate.of(2025, 12, 1), "", "tester");
      assertThat(
              old.sql()
                  .sql("select count(*) from period where seal_no is not null")
                  .query(Long.class)
                  .single())
          .isEqualTo(3);
      assertThatThrownBy(() -> closing.closeYear(LocalDate.of(2025, 12, 1), "", "tester"))
          .hasMessageContaining("closed already");
    }
  }

  @Test
  void closing_a_month_keeps_its_seal() {
    assertThat(book.get(SealStore.class).ofClosed(LocalDate.of(2026, 1, 15))).isPresent();
    assertThat(book.get(SealStore.class).ofClosed(LocalDate.of(2026, 2, 15))).isEmpty();
  }

  /** Erasing and merging change words of sealed rows; figures stay, and each change is a row. */
  @Test
  void erasing_a_person_and_merging_two_leave_seals_whole() {
    book.post(
        PaperKind.BILL,
        Map.of("date", "2026-03-05", "supplier", "Pell Wax", "place", "Store"),
        FreshBook.rows("SMK", "1", "2.00"));
    book.sql().sql("update party set erased_at = null").update();
    book.get(Sealer.class).seal();
    MergeStore parties = book.get(MergeStore.class);
    MergeStore.Named pell = named("Pell Wax");
    book.get(TransactionTemplate.class)
        .executeWithoutResult(
            status -> {
              book.sql()
                  .sql("update paper set date = '2001-01-01' where party_id = ?")
                  .param(pell.id())
                  .update();
              book.get(PersonStore.class).erase(pell, "tester");
              book.sql()
                  .sql("update paper set date = '2026-03-05' where party_id = ?")
                  .param(pell.id())
                  .update();
            });
    assertThat(book.sql().sql("select count(*) from seal_change").query(Long.class).single())
        .isPositive();
    book.get(Sealer.class).seal();
    assertThat(faults()).isEmpty();
    assertThat(parties.has(pell.id()).papers()).isOne();
  }

  private static MergeStore.Named named(String name) {
    return book.sql()
        .sql("select id, name from party where name = ?")
        .param(name)
        .query(
            (row, n) ->
                new MergeStore.Named(row.getLong(1), Party.Kind.SUPPLIER, row.getString(2), 0))
        .single();
  }

  /** docs/seals.md, done once more by a program that shares nothing with ours. */
  @Test
  void another_program_comes_to_the_same_seals() throws IOException, InterruptedException {
    String schema = book.sql().sql("select database()").query(String.class).single();
    assertThat(asked(schema)).contains("seals hold").doesNotContain("differs");
    book.sql().sql("update paper_line set price = 8 where paper_id = 2").update();
    assertThat(asked(schema)).contains("posting 2 differs");
    book.sql().sql("update paper_line set price = 9 where paper_id = 2").update();
  }

  private static String asked(String schema) throws IOException, InterruptedException {
    String server = FreshBook.server();
    String hostAndPort = server.substring(server.indexOf("//") + 2, server.lastIndexOf('/'));
    ProcessBuilder perl =
        new ProcessBuilder(
            "perl",
            Path.of("src/test/perl/seals.pl").toString(),
            hostAndPort.split(":")[0],
            hostAndPort.split(":")[1],
            System.getenv("ZINC_DB_USER"),
            schema);
    perl.environment().put("MYSQL_PWD", System.getenv("ZINC_DB_PASSWORD"));
    Process run = perl.redirectErrorStream(true).start();
    String said = new String(run.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(run.waitFor(5, TimeUnit.MINUTES)).isTrue();
    return said;
  }
}
