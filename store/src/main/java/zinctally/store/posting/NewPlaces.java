package zinctally.store.posting;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Place;
import zinctally.core.papers.Standing;
import zinctally.store.Refused;
import zinctally.store.sql.NewRow;

/** Makes places for goods in a standing, or of an owner, of which none have been there. */
@Component
class NewPlaces {
  private final JdbcClient sql;

  NewPlaces(JdbcClient sql) {
    this.sql = sql;
  }

  /** A place where none of such goods were before; whoever comes first makes it. */
  Place made(Place place) {
    if (place.id() != 0) return place;
    long at = place.at();
    if (at == 0 && !place.isPlain()) at = made(place.fresh(Standing.GOOD, null)).id();
    long id =
        NewRow.id(
            sql.sql(
                    """
                    insert into place (name, kind, at_id, standing_id, owner_id, host_id, tax_rate_id, for_sale)
                    select :name, :kind, nullif(:at, 0), t.id, :owner, :host, a.tax_rate_id,
                      coalesce(a.for_sale, false) and t.free and :owner is null
                    from standing t left join place a on a.id = :at where t.id = :standing
                    on duplicate key update id = last_insert_id(place.id)
                    """)
                .param("name", place.name())
                .param("kind", place.kind().name())
                .param("at", at)
                .param("standing", place.standing().id())
                .param("owner", place.owner() == null ? null : place.owner().id())
                .param("host", place.host() == null ? null : place.host().id()));
    if (!isSame(id, at, place))
      throw Refused.because(
          "There is a place called "
              + place.name()
              + " already that is another; rename it under"
              + " Set up, Places.");
    return new Place(
        id,
        place.name(),
        place.kind(),
        at == 0 ? id : at,
        place.site(),
        place.standing(),
        place.owner(),
        place.host());
  }

  private boolean isSame(long id, long at, Place place) {
    return sql.sql(
            "select coalesce(at_id, 0) = ? and standing_id = ? and coalesce(owner_id, 0) = ? and kind = ?"
                + " from place where id = ?")
        .params(at, place.standing().id(), place.owner() == null ? 0 : place.owner().id())
        .params(place.kind().name(), id)
        .query(Boolean.class)
        .single();
  }
}
