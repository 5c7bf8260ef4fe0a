package zinctally.web.listing;

import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import zinctally.store.listing.Ask;
import zinctally.store.listing.Listing;
import zinctally.web.file.OnPaper;

/** Writes a list into a file that nobody waits for. */
@Component
public class ListFile {
  private final ListingFiles files;

  ListFile(ListingFiles files) {
    this.files = files;
  }

  /**
   * @param asked says how it is printed
   */
  public void write(String form, Listing listing, Map<String, String> asked, OutputStream out)
      throws IOException {
    files.write(
        form,
        listing.written(),
        Ask.ALL,
        new ListingFiles.About(listing.name(), List.of()),
        OnPaper.read(name -> asked.getOrDefault(name, "")),
        out);
  }
}
