package zinctally.core.statement;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.AccountKind;
import zinctally.core.ledger.Role;

/**
 * Headings with the accounts under them.
 *
 * @param sections those under the same heading in the order in which they stand
 * @param sectionOf the heading of each account; accounts that have none are missing
 */
public record Layout(List<Section> sections, List<Account> accounts, Map<Long, Long> sectionOf) {
  static final String NONE = "Under no heading yet";

  public Layout {
    sections = List.copyOf(sections);
    accounts = accounts.stream().sorted(Comparator.comparing(Account::code)).toList();
    sectionOf = Map.copyOf(sectionOf);
  }

  List<Section> under(Part part, long parent) {
    return sections.stream().filter(s -> s.part() == part && s.parent() == parent).toList();
  }

  List<Account> of(Section section) {
    return accounts.stream()
        .filter(a -> Objects.equals(sectionOf.get(a.id()), section.id()))
        .toList();
  }

  /** Accounts of a part that stand under no heading of it: shown at its end, never lost. */
  List<Account> without(Part part) {
    Set<Long> known =
        sections.stream()
            .filter(s -> s.part() == part)
            .map(Section::id)
            .collect(Collectors.toSet());
    Map<Long, Part> parts = new HashMap<>();
    sections.forEach(s -> parts.put(s.id(), s.part()));
    return accounts.stream()
        .filter(a -> !known.contains(sectionOf.getOrDefault(a.id(), 0L)))
        .filter(a -> part == placed(a, parts))
        .toList();
  }

  private Part placed(Account account, Map<Long, Part> parts) {
    Part by = parts.get(sectionOf.getOrDefault(account.id(), 0L));
    return by == null ? Part.of(account.kind()) : by;
  }

  /** What is no money and no part of the result: what cash is tied up in, or comes from. */
  List<Account> standing(Activity activity) {
    Map<Long, Activity> by = new HashMap<>();
    sections.forEach(s -> by.put(s.id(), s.activity()));
    return accounts.stream()
        .filter(a -> Part.of(a.kind()) != Part.RESULT && a.role() != Role.MONEY)
        .filter(
            a ->
                activity == by.getOrDefault(sectionOf.getOrDefault(a.id(), 0L), Activity.OPERATING))
        .toList();
  }

  List<Account> money() {
    return accounts.stream().filter(a -> a.role() == Role.MONEY).toList();
  }

  List<Account> result() {
    return accounts.stream().filter(a -> Part.of(a.kind()) == Part.RESULT).toList();
  }

  /** The heading that what was earned stands under: the first that holds equity. */
  List<Section> equity() {
    return sections.stream()
        .filter(s -> s.part() == Part.CLAIMS)
        .filter(s -> of(s).stream().anyMatch(a -> a.kind() == AccountKind.EQUITY))
        .limit(1)
        .collect(Collectors.toCollection(ArrayList::new));
  }
}
