package zinctally.web.setup;

import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.Place;
import zinctally.core.papers.Standing;
import zinctally.store.book.SetUp;
import zinctally.store.setup.PlaceStore;
import zinctally.store.setup.SetupStore;
import zinctally.web.shell.SetsUp;

/** Where goods are, and in what standings they can be. */
@Controller
class PlacesController {
  private static final int LONGEST = 80;
  private static final int LONGEST_STANDING = 60;
  private final SetUp setUp;
  private final PlaceStore places;
  private final SetupStore setup;
  private final Trail trail;

  PlacesController(SetUp setUp, PlaceStore places, SetupStore setup, Trail trail) {
    this.setUp = setUp;
    this.places = places;
    this.setup = setup;
    this.trail = trail;
  }

  @GetMapping("/setup/places")
  String places(Model model) {
    List<PlaceStore.Row> all = new ArrayList<>(places.all());
    all.add(new PlaceStore.Row(0, "", Place.Kind.STORE, "", true, true));
    model.addAttribute("rows", all);
    model.addAttribute(
        "kinds", Stream.of(Place.Kind.values()).filter(Place.Kind::isChosen).toList());
    model.addAttribute("rates", setup.taxRatesInUse());
    return "setup/places";
  }

  @GetMapping("/setup/standings")
  String standings(Model model) {
    List<PlaceStore.Standing> all = new ArrayList<>(places.standings());
    all.add(new PlaceStore.Standing(0, "", false, false, true));
    model.addAttribute("rows", all);
    return "setup/standings";
  }

  @SetsUp
  @PostMapping("/setup/places")
  String savePlace(
      @RequestParam long id,
      @RequestParam String name,
      @RequestParam(defaultValue = "STORE") Place.Kind kind,
      @RequestParam(defaultValue = "") String rate,
      @RequestParam(defaultValue = "false") boolean active,
      @RequestParam(defaultValue = "false") boolean forSale,
      Principal who,
      RedirectAttributes after) {
    if (!kind.isChosen())
      return Answer.wrong(after, "/places", kind.words() + " is no place that is set up by hand.");
    PlaceStore.Row place = new PlaceStore.Row(id, name.strip(), kind, rate, forSale, active);
    return setUp.alone(
        () ->
            Answer.kept(
                after,
                "/places",
                name,
                LONGEST,
                () -> {
                  Optional<PlaceStore.Row> before =
                      places.all().stream().filter(p -> p.id() == id && id != 0).findFirst();
                  if (id != 0 && before.isEmpty()) return;
                  places.save(place);
                  trail.leave(who, "places", id, before, Optional.of(place));
                }));
  }

  @SetsUp
  @PostMapping("/setup/standings")
  String saveStanding(
      @RequestParam long id,
      @RequestParam String name,
      @RequestParam(defaultValue = "false") boolean sold,
      @RequestParam(defaultValue = "false") boolean free,
      @RequestParam(defaultValue = "false") boolean active,
      Principal who,
      RedirectAttributes after) {
    if (id == Standing.GOOD.id())
      return Answer.wrong(
          after, "/standings", "Good goods stay as they are; make another standing.");
    if (free && !sold)
      return Answer.wrong(
          after, "/standings", name.strip() + " cannot count as free while it may not be sold.");
    PlaceStore.Standing standing = new PlaceStore.Standing(id, name.strip(), sold, free, active);
    return setUp.alone(
        () ->
            Answer.kept(
                after,
                "/standings",
                name,
                LONGEST_STANDING,
                () -> {
                  Optional<PlaceStore.Standing> before =
                      places.standings().stream().filter(s -> s.id() == id).findFirst();
                  if (id != 0 && before.isEmpty()) return;
                  places.save(standing);
                  trail.leave(who, "standings", id, before, Optional.of(standing));
                }));
  }
}
