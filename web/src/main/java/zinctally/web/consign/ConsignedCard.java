package zinctally.web.consign;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import zinctally.store.consign.ConsignStore;
import zinctally.store.listing.Ask;
import zinctally.store.listing.ConsignListings;
import zinctally.store.listing.ListingStore;

/**
 * What of a supplier's goods is here, of a customer's, and of ours at one, as their cards show it.
 */
@Component
public class ConsignedCard {
  private final ListingStore lists;
  private final ConsignStore consigned;

  ConsignedCard(ListingStore lists, ConsignStore consigned) {
    this.lists = lists;
    this.consigned = consigned;
  }

  /** What came of a supplier, and what became of it up to a day. */
  public void ofSupplier(long id, LocalDate day, Model model) {
    List<Map<String, Object>> figures = new ArrayList<>();
    lists.all(ConsignListings.goods(day, id), Ask.ALL, figures::add);
    model.addAttribute("consigned", figures);
    model.addAttribute("toSettle", !consigned.owed(id, day).isEmpty());
  }

  /** What a customer has here, and what of ours is there. */
  public void ofCustomer(long id, Model model) {
    model.addAttribute("held", consigned.held(id));
  }
}
