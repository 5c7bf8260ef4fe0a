package zinctally.store.house;

import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.TEXT;
import static zinctally.store.listing.Listing.Type.TIME;

import java.util.List;
import java.util.Map;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;

/** The books of the house, and those of one who is signed in there. */
public final class HouseListings {
  private HouseListings() {}

  /** The books that somebody has keys to. */
  public static Listing of(String login) {
    return new Listing(
        "Your books",
        """
        house_key k join hosted h on h.name = k.book
        join app_user u on u.id = k.person_id where u.login = :login""",
        Map.of("login", login),
        List.of(
            new Column("id", "", "k.id", HIDDEN),
            new Column("title", "Book", "h.title", TEXT, "/books/open/{id}"),
            new Column("name", "Address", "h.name", TEXT),
            new Column("as", "You sign in as", "k.login", TEXT),
            new Column("state", "State", "if(h.open, 'open', 'closed')", TEXT),
            new Column("drop", "No more", "'let go'", TEXT, "/books/keys/{id}")),
        "k.id",
        "title",
        "No book yet. Add one below with the sign-in that you have there.");
  }

  /** Every book of the house. */
  public static Listing all() {
    return new Listing(
        "All books",
        "hosted h where true",
        Map.of(),
        List.of(
            new Column("name", "Address", "h.name", TEXT, "/books/all/{name}"),
            new Column("title", "Book", "h.title", TEXT, "/books/all/{name}"),
            new Column("state", "State", "if(h.open, 'open', 'closed')", TEXT),
            new Column("people", "People", "h.people", NUMBER),
            new Column("peopleMost", "People at most", "h.people_most", NUMBER),
            new Column("megabytes", "MB", "h.megabytes", NUMBER),
            new Column("megabytesMost", "MB at most", "h.megabytes_most", NUMBER),
            new Column("atOnce", "At once at most", "h.at_once_most", NUMBER),
            new Column("made", "Made", "h.made_at", TIME),
            new Column("seen", "Seen", "h.seen_at", TIME)),
        "h.name",
        "name",
        "No book is kept here yet.");
  }

  /** Who may sign in at the house. */
  public static Listing people() {
    return new Listing(
        "People of the house",
        "app_user u where true",
        Map.of(),
        List.of(
            new Column("id", "", "u.id", HIDDEN),
            new Column("name", "Name", "u.name", TEXT, "/books/people/{id}"),
            new Column("login", "Sign-in", "u.login", TEXT, "/books/people/{id}"),
            new Column(
                "books",
                "Books",
                "(select count(*) from house_key k where k.person_id = u.id)",
                NUMBER),
            new Column("keeps", "Besides", "if(u.role = 'OWNER', 'keeps the house', '')", TEXT),
            new Column("state", "State", "if(u.active, 'may sign in', 'off')", TEXT)),
        "u.id",
        "name",
        "Nobody yet.");
  }
}
