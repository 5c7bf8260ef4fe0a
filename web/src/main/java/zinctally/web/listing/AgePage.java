package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.store.listing.AgeListings;
import zinctally.store.prove.AgeStore;
import zinctally.web.picture.AgePicture;
import zinctally.web.shell.AtDate;

/** What is owed by age at a date, as a picture and a list. */
@Component
public class AgePage {
  private final AreaPage page;
  private final AgeStore ages;
  private final Clock clock;

  AgePage(AreaPage page, AgeStore ages, Clock clock) {
    this.page = page;
    this.ages = ages;
    this.clock = clock;
  }

  /**
   * @param date as it was asked for; empty for today
   * @param pays the paper that settles what is owed
   */
  public String show(
      AreaPage.Tabs tabs,
      Party.Kind side,
      PaperKind pays,
      String date,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    LocalDate at = AtDate.read(date, clock, model);
    model.addAttribute("date", at);
    model.addAttribute("ages", AgePicture.of(ages.owed(side, at).parts(), 700, 110));
    return page.show(
        tabs.above("listing/age"), AgeListings.ageing(side, at), model, request, response, pays);
  }
}
