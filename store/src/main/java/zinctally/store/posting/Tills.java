package zinctally.store.posting;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Paper;
import zinctally.core.papers.Place;
import zinctally.core.papers.trade.Tender;
import zinctally.core.proof.Proof;
import zinctally.store.Refused;

/** Through which open till the cash of a paper goes. */
@Component
class Tills {
  private final JdbcClient sql;

  Tills(JdbcClient sql) {
    this.sql = sql;
  }

  private record Open(long id, String place, long placeId, String by) {}

  /**
   * The till for cash that a paper moves: the one it names, that of whoever writes it, that at its
   * place, or the only one. It stays open until the transaction ends.
   *
   * @return empty when no cash moves, or none is open and the paper is not one of the counter
   * @throws Refused when it is not clear which, or the counter's cash has none
   */
  Optional<Long> of(
      Draft draft, Paper paper, String login, Proof.Work work, Catalogue book, boolean hold) {
    if (!movesCash(Stream.concat(work.journals().stream(), work.reversals().stream()), book))
      return Optional.empty();
    String named = draft.field("till");
    Optional<Place> at = paper.counter();
    List<Open> open = open(hold);
    if (!named.isEmpty()) {
      Optional<Open> there = open.stream().filter(t -> t.place.equalsIgnoreCase(named)).findFirst();
      return Optional.of(
          there.orElseThrow(() -> refused("till", "No till is open at \"" + named + "\".")).id);
    }
    Optional<Open> own = open.stream().filter(t -> t.by.equalsIgnoreCase(login)).findFirst();
    if (own.isPresent()) return own.map(Open::id);
    if (at.isPresent()) {
      Optional<Open> there = open.stream().filter(t -> t.placeId == at.get().id()).findFirst();
      return Optional.of(
          there.orElseThrow(
                  () ->
                      refused(
                          "cash",
                          "No till is open at "
                              + at.get().name()
                              + ": open one at the counter, or let it be paid otherwise than in"
                              + " cash."))
              .id);
    }
    if (open.size() > 1)
      throw refused(
          "till",
          "Tills are open at "
              + String.join(", ", open.stream().map(Open::place).toList())
              + ": through which does this cash go?");
    return open.stream().findFirst().map(Open::id);
  }

  /** The till for cash that goes back: the one it came through, else one of today. */
  Optional<Long> ofVoiding(long paper, String login, Proof.Work work, Catalogue book) {
    if (!movesCash(work.reversals().stream(), book)) return Optional.empty();
    List<Open> open = open(true);
    List<Long> went =
        sql.sql("select till_id from journal where paper_id = ? and till_id is not null")
            .param(paper)
            .query(Long.class)
            .list();
    return open.stream()
        .filter(t -> went.contains(t.id))
        .findFirst()
        .or(() -> open.stream().filter(t -> t.by.equalsIgnoreCase(login)).findFirst())
        .or(() -> open.size() == 1 ? Optional.of(open.get(0)) : Optional.empty())
        .map(Open::id);
  }

  /** Only accounts of money can be that of cash; most papers have none, and nothing is asked. */
  private static boolean movesCash(Stream<JournalEntry> journals, Catalogue book) {
    Set<Long> money =
        journals
            .flatMap(j -> j.lines().stream())
            .map(JournalLine::account)
            .distinct()
            .filter(account -> book.account(account).role() == Role.MONEY)
            .collect(Collectors.toSet());
    return !money.isEmpty() && money.contains(book.tender(Tender.Kind.CASH).id());
  }

  private List<Open> open(boolean hold) {
    return sql.sql(
            "select t.id, p.name, t.place_id, t.opened_by from till t"
                + " join place p on p.id = t.place_id where t.closed_at is null order by t.id desc"
                + (hold ? " lock in share mode" : ""))
        .query(
            (row, n) ->
                new Open(row.getLong(1), row.getString(2), row.getLong(3), row.getString(4)))
        .list();
  }

  private static Refused refused(String cell, String says) {
    return new Refused(List.of(new Fault(cell, says)));
  }
}
