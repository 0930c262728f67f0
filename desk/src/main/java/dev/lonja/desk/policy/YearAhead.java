package dev.lonja.desk.policy;

import dev.lonja.core.forecast.Consumption;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.quantity.Money;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.desk.supplier.ItemPrices;
import dev.lonja.store.Session;
import java.util.Currency;
import java.util.List;

/**
 * What the whole fleet is expected to take in the year ahead under some policies.
 *
 * @param consumption of so many weeks
 * @param cost at the lowest price of each item, else what it is worth on the shelf
 */
public record YearAhead(Consumption consumption, Money cost) {

  /** How far ahead the schools are compared. */
  public static final int WEEKS = 52;

  /** With another choice of one holder, which may change nothing of what is taken. */
  static YearAhead with(Session session, FleetPicture fleet, Holder holder, Choice choice) {
    Policies policies = fleet.policies();
    return of(
        session,
        fleet,
        choice.question().changesWhatIsTaken() ? policies.with(holder, choice) : policies);
  }

  static YearAhead of(Session session, FleetPicture fleet, Policies policies) {
    Kits kits = Kits.of(session, fleet);
    Consumption consumption =
        fleet.derived(
            Consumption.class,
            List.of(policies, kits.shelf()),
            () ->
                Consumption.of(
                    fleet.under(policies, session).plans(fleet.today().plusWeeks(WEEKS)),
                    kits.shelf()));
    Currency currency = session.settings().currency();
    return new YearAhead(
        consumption,
        consumption.cost(ItemPrices.of(session, consumption.byItem().keySet()), currency));
  }
}
