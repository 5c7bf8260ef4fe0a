package zinctally.core.papers.read;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Trait;

/** Reads where goods are, and says of which a paper cannot speak. */
record Places(Reader in) {
  @Nullable Place named(String cell, String typed) {
    Optional<Place> place = in.book.place(typed);
    if (place.isEmpty()) in.fault(cell, typed.isEmpty() ? "Which place?" : noPlace(typed));
    place.flatMap(this::notFrom).ifPresent(why -> in.fault(cell, why));
    return place.orElse(null);
  }

  private String noPlace(String typed) {
    return Stream.of(Party.Kind.values()).anyMatch(k -> in.book.party(k, typed).isPresent())
        ? typed + " is no place of goods; what comes back from somebody is a return."
        : "There is no place called \"" + typed + "\".";
  }

  /** Why this paper cannot speak of goods there. */
  private Optional<String> notFrom(Place place) {
    boolean consigned =
        !place.ours()
            && place.whose().kind() == Party.Kind.SUPPLIER
            && in.draft.kind().is(Trait.TAKES);
    if (!place.ours() && !consigned && !in.draft.kind().is(Trait.OF_ANYONE))
      return Optional.of(
          "What is there belongs to " + place.whose().name() + "; it has no cost in these books.");
    if (!place.standing().sold() && in.draft.kind().is(Trait.SENDS))
      return Optional.of(
          "What is there is "
              + place.standing().name().toLowerCase(Locale.ROOT)
              + " and not sold; a transfer puts it in a standing that is, or Set up, Standings"
              + " lets it be sold.");
    return Optional.empty();
  }
}
