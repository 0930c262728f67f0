package dev.lonja.store.verification;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.STOCK;
import static dev.lonja.store.schema.Tables.TANK;
import static dev.lonja.store.schema.Tables.TANK_DIP;

import dev.lonja.core.tank.Tank;
import dev.lonja.store.tank.TankRepository;
import dev.lonja.store.verification.Verification.Finding;
import java.util.ArrayList;
import java.util.List;
import org.jooq.DSLContext;

/** Checks that tanks agree with what is said to be in them. */
final class StoresVerification {

  private final DSLContext context;
  private final List<Finding> findings = new ArrayList<>();

  private StoresVerification(DSLContext context) {
    this.context = context;
  }

  static List<Finding> findings(DSLContext context) {
    StoresVerification verification = new StoresVerification(context);
    new TankRepository(context).all().forEach(verification::check);
    return verification.findings;
  }

  private void check(Tank tank) {
    context
        .select(TANK_DIP.ID, TANK_DIP.HEIGHT_UM)
        .from(TANK_DIP)
        .where(
            TANK_DIP.TANK_ID.eq(tank.id()),
            TANK_DIP.HEIGHT_UM.gt(tank.shape().height().micrometres()))
        .forEach(
            row ->
                findings.add(
                    new Finding(
                        "tank_dips",
                        "dip " + row.get(TANK_DIP.ID) + " is above its tank, " + tank.name())));
    boolean noFluid =
        context.fetchExists(
            context
                .selectOne()
                .from(TANK)
                .join(ITEM)
                .on(ITEM.ID.eq(TANK.ITEM_ID))
                .where(TANK.ID.eq(tank.id()), ITEM.PRODUCT_ID.isNull()));
    if (noFluid) {
      findings.add(new Finding("tanks", tank.name() + " holds what is no fluid"));
    }
    boolean other =
        context.fetchExists(
            context
                .selectOne()
                .from(STOCK)
                .where(
                    STOCK.BIN_ID.eq(tank.binId()),
                    STOCK.ITEM_ID.ne(tank.itemId()),
                    STOCK.QUANTITY_MICRO.gt(0L)));
    if (other) {
      findings.add(new Finding("tanks", "something else lies where " + tank.name() + " stands"));
    }
  }
}
