package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.TEXT;
import static zinctally.store.listing.Listing.Type.TIME;

import java.util.List;
import java.util.Map;
import zinctally.store.listing.Listing.Column;

/** What the owner is told of the machine. */
public final class MachineListings {
  private MachineListings() {}

  public static Listing backups() {
    return new Listing(
        "Backups",
        "backup_made b where true",
        Map.of(),
        List.of(
            new Column("at", "Holds the book of", "b.made_at", TIME),
            new Column("file", "File", "b.file", TEXT),
            new Column("size", "KB", "round(b.bytes / 1000)", NUMBER),
            new Column("seconds", "Seconds it took", "b.seconds", NUMBER)),
        "b.id",
        "-at",
        "No backup has been made yet.");
  }
}
