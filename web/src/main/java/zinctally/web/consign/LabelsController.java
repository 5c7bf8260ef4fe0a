package zinctally.web.consign;

import java.io.IOException;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.thymeleaf.context.Context;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Trait;
import zinctally.store.book.ListPrices;
import zinctally.store.consign.ConsignStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PostedPaper;
import zinctally.web.paper.LabelSheets;
import zinctally.web.picture.BarPicture;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.PdfPages;
import zinctally.web.shell.Say;

/** Labels of ours for what came on consignment, as PDF. */
@Controller
class LabelsController {
  private static final int ACROSS = 3;
  private final PaperStore papers;
  private final ConsignStore consigned;
  private final ListPrices prices;
  private final Clock clock;
  private final PdfPages pages;
  private final Say say;

  LabelsController(
      PaperStore papers,
      ConsignStore consigned,
      ListPrices prices,
      Clock clock,
      PdfPages pages,
      Say say) {
    this.papers = papers;
    this.consigned = consigned;
    this.prices = prices;
    this.clock = clock;
    this.pages = pages;
    this.say = say;
  }

  /** One label, as it is printed. */
  record Label(String name, String number, String price, String code, BarPicture bars) {}

  @GetMapping("/papers/{id:\\d+}/labels")
  ResponseEntity<byte[]> labels(@PathVariable long id, @RequestParam(defaultValue = "0") int from)
      throws IOException {
    PostedPaper paper =
        papers
            .find(id)
            .filter(p -> p.kind().is(Trait.LABELLED) && !p.isVoid())
            .orElseThrow(() -> new NotThere("labels of paper " + id));
    List<ConsignStore.Label> alike = consigned.labels(id);
    List<Long> items = alike.stream().map(ConsignStore.Label::item).distinct().toList();
    ListPrices.Listed listed = prices.listed(items, 0, LocalDate.now(clock));
    List<Label> some =
        alike.stream()
            .flatMap(l -> Stream.generate(() -> l).limit(l.many()))
            .skip(Math.max(0, from))
            .limit(LabelSheets.MOST)
            .map(l -> shown(l, listed))
            .toList();
    List<List<Label>> rows = new ArrayList<>();
    for (int first = 0; first < some.size(); first += ACROSS)
      rows.add(some.subList(first, Math.min(some.size(), first + ACROSS)));
    Context context = new Context();
    context.setVariable("title", paper.number());
    context.setVariable("rows", rows);
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .headers(
            h ->
                h.setContentDisposition(
                    ContentDisposition.inline()
                        .filename("labels-" + paper.number() + ".pdf")
                        .build()))
        .body(pages.of("consign/labels", context));
  }

  private Label shown(ConsignStore.Label one, ListPrices.Listed listed) {
    Optional<BigDecimal> price =
        Optional.ofNullable(one.price())
            .or(() -> listed.price(one.item(), Quantity.ONE).map(ListPrices.Step::price));
    return new Label(
        one.name(),
        one.number(),
        price.map(say::price).orElse(""),
        one.code(),
        BarPicture.of(one.code()));
  }
}
