package zinctally.store.posting;

import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.core.papers.make.Batch;
import zinctally.core.papers.make.Recipe;
import zinctally.store.Refused;
import zinctally.store.book.Catalogues;

/** What is kept of recipes, for goods to be made by them. */
@Component
class RecipesPosted implements Follower {
  private final JdbcTemplate jdbc;
  private final Catalogues catalogues;

  RecipesPosted(JdbcTemplate jdbc, Catalogues catalogues) {
    this.jdbc = jdbc;
    this.catalogues = catalogues;
  }

  @Override
  public boolean follows(PaperKind kind) {
    return kind.is(Trait.RECIPES);
  }

  /**
   * Recipes are written one after the other, so that two cannot make a circle together.
   *
   * @throws Refused when it goes in a circle with one that was posted meanwhile
   */
  @Override
  public void posted(Posted what) {
    Recipe recipe = (Recipe) what.paper();
    jdbc.queryForList(
        "select kind from paper_kind where kind = ? for update", recipe.kind().name());
    Batch batch = recipe.batch();
    voided(what.id());
    for (Batch.Part part : batch.parts())
      catalogues
          .open()
          .goesInto(batch.item().id(), part.item().id())
          .ifPresent(
              way -> {
                throw new Refused(
                    List.of(
                        Fault.whole(
                            "This goes in a circle: "
                                + part.item().name()
                                + " is made of "
                                + way
                                + ".")));
              });
    jdbc.update(
        "insert into recipe values (?, ?, ?, ?, ?)",
        what.id(),
        batch.item().id(),
        recipe.date(),
        batch.made().micros(),
        recipe.place() == null ? null : recipe.place().id());
    List<Batch.Part> parts = batch.parts();
    for (int line = 0; line < parts.size(); line++)
      jdbc.update(
          "insert into recipe_part values (?, ?, ?, ?, ?)",
          what.id(),
          line,
          parts.get(line).item().id(),
          parts.get(line).quantity().micros(),
          parts.get(line).waste());
    for (int line = 0; line < batch.work().size(); line++) {
      Batch.Labour work = batch.work().get(line);
      jdbc.update(
          "insert into recipe_work values (?, ?, ?, ?, ?, ?)",
          what.id(),
          line,
          work.account().id(),
          work.wording(),
          work.batch(),
          work.piece());
    }
  }

  @Override
  public void voided(long id) {
    for (String table : List.of("recipe_part", "recipe_work", "recipe"))
      jdbc.update("delete from " + table + " where paper_id = ?", id);
  }
}
