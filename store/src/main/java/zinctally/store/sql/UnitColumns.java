package zinctally.store.sql;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import zinctally.core.number.Quantity;
import zinctally.core.units.Unit;
import zinctally.core.units.Units;

/** Reads units from the columns in which items keep them. */
public final class UnitColumns {
  private UnitColumns() {}

  /** The units a row with base_unit, pack_name and pack_size is counted in. */
  public static Units units(ResultSet row) throws SQLException {
    return new Units(
        unit(row.getString("base_unit")),
        row.getString("pack_name"),
        new Quantity(row.getLong("pack_size")));
  }

  /**
   * @param rec20 its code in UN/ECE Recommendation 20
   */
  public static Unit unit(String rec20) {
    return Arrays.stream(Unit.values())
        .filter(u -> u.rec20().equals(rec20))
        .findFirst()
        .orElseThrow();
  }
}
