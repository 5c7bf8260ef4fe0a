package zinctally.web.paper;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import zinctally.store.goods.LotStore;
import zinctally.store.sell.CustomerStore;
import zinctally.store.setup.LookStore;
import zinctally.web.shell.PdfPages;

/** Where a numbered piece came from and whom it went to, as PDF. */
@Component
public class SlipPdf {
  private final PdfPages pages;
  private final Letter letter;
  private final LookStore looks;
  private final CustomerStore customers;

  SlipPdf(PdfPages pages, Letter letter, LookStore looks, CustomerStore customers) {
    this.pages = pages;
    this.letter = letter;
    this.looks = looks;
    this.customers = customers;
  }

  /** Where a numbered piece came from and whom it went to; no cost stands on it. */
  public byte[] slip(LotStore.Card piece) throws IOException {
    Optional<LotStore.Step> came =
        piece.steps().stream().filter(s -> s.quantity() > 0 && !s.takenBack()).findFirst();
    Optional<LotStore.Step> went =
        piece.steps().stream()
            .filter(s -> s.quantity() < 0 && !s.takenBack() && s.partyName() != null)
            .reduce((first, last) -> last)
            .filter(s -> piece.onHand() == 0);
    String language =
        went.flatMap(s -> customers.card(s.party())).map(CustomerStore.Card::language).orElse("en");
    Words w = PaperWords.in(language);
    List<Letter.Fact> facts = new ArrayList<>();
    facts.add(new Letter.Fact(w.get("item"), List.of(piece.itemName(), piece.itemCode())));
    facts.add(new Letter.Fact(w.get("serial"), List.of(piece.code())));
    came.ifPresent(
        s -> {
          if (s.partyName() != null)
            facts.add(new Letter.Fact(w.get("came"), List.of(s.partyName())));
          facts.add(new Letter.Fact(w.get("came.on"), List.of(s.date().toString())));
        });
    went.ifPresent(
        s -> {
          facts.add(new Letter.Fact(w.get("sold"), List.of(s.partyName(), s.number())));
          facts.add(new Letter.Fact(w.get("sold.on"), List.of(s.date().toString())));
        });
    Context context = letter.context(looks.look(), language, piece.code());
    context.setVariable("facts", facts);
    return pages.of("paper/slip", context);
  }
}
