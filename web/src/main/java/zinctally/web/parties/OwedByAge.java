package zinctally.web.parties;

import java.util.Map;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.store.listing.AgeListings;
import zinctally.store.prove.AgeStore;
import zinctally.web.listing.ListPage;
import zinctally.web.picture.AgePicture;

/** What is owed by age at a date, as a picture and a list. */
@Component
public class OwedByAge {
  private static final int WIDTH = 700;
  private static final int HEIGHT = 110;
  private final AgeStore ages;

  OwedByAge(AgeStore ages) {
    this.ages = ages;
  }

  /**
   * @param pays the paper that settles what is owed
   */
  public ListPage page(String address, Party.Kind side, PaperKind pays) {
    return ListPage.at(address, "By age")
        .known("ageing overdue late days")
        .lists(a -> AgeListings.ageing(side, a.date()))
        .above(
            "listing/age",
            a -> Map.of("ages", AgePicture.of(ages.owed(side, a.date()).parts(), WIDTH, HEIGHT)))
        .begins(pays);
  }
}
