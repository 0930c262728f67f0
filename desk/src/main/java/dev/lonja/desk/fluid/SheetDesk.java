package dev.lonja.desk.fluid;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fluid.DataSheetRepository;
import dev.lonja.store.fluid.DataSheetRepository.Sheet;
import dev.lonja.store.service.ReceiptPaper;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Keeps the data sheets of products, each with the day that stands on it. */
@Service
@Allowed.ToSeeMachines
public class SheetDesk extends KeepersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public SheetDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** A sheet as somebody brings it. */
  public record Brought(DataSheetRepository.Kind kind, LocalDate datedOn, byte[] file) {}

  /** Why nothing was kept or taken off. */
  public sealed interface Refused extends Refusal {}

  /** It is no document of pages alone. */
  public record NoDocument() implements Refused {}

  /** It is too large. */
  public record TooLarge(int bytes, int most) implements Refused {}

  /** It carries a day to come. */
  public record DatedLater(LocalDate on, LocalDate today) implements Refused {}

  /** No such product, or it has no such sheet any more. */
  public record NotThere() implements Refused {}

  /** What a product is called; empty for an unknown one. */
  public Optional<String> name(ProductId id) {
    return store.read(session -> session.products().byId(id).map(Product::display));
  }

  /** The sheets of a product by kind, the latest first. */
  public List<Sheet> of(ProductId product) {
    return store.read(session -> session.dataSheets().of(product));
  }

  /** The pages of a sheet, as PDF; empty if there is none such. */
  public Optional<byte[]> content(ProductId product, long id) {
    return store.read(session -> session.dataSheets().content(product, id));
  }

  /** Keeps a sheet of a product. */
  @Allowed.ToKeepStore
  public Outcome keep(Sent sent, ProductId id, Brought brought) {
    return once.run(
        sent,
        session -> {
          Optional<Product> product = session.products().byId(id);
          if (product.isEmpty()) {
            return Outcome.refused(new NotThere());
          }
          if (brought.file().length > Limits.RECEIPT_BYTES) {
            return Outcome.refused(new TooLarge(brought.file().length, Limits.RECEIPT_BYTES));
          }
          if (!ReceiptPaper.is(brought.file())) {
            return Outcome.refused(new NoDocument());
          }
          if (brought.datedOn().isAfter(clock.today())) {
            return Outcome.refused(new DatedLater(brought.datedOn(), clock.today()));
          }
          session
              .dataSheets()
              .add(
                  id, brought.kind(), brought.datedOn(), brought.file(), sent.actor(), clock.now());
          note(session, sent, product.get(), Facts.NONE, facts(brought.kind(), brought.datedOn()));
          return Outcome.done();
        });
  }

  /** Takes off a sheet that was kept in error. */
  @Allowed.ToKeepStore
  public Outcome remove(Sent sent, ProductId id, long sheetId) {
    return once.run(
        sent,
        session -> {
          Optional<Product> product = session.products().byId(id);
          Optional<Sheet> sheet =
              session.dataSheets().of(id).stream().filter(s -> s.id() == sheetId).findFirst();
          if (product.isEmpty() || sheet.isEmpty()) {
            return Outcome.refused(new NotThere());
          }
          session.dataSheets().remove(sheetId);
          note(
              session,
              sent,
              product.get(),
              facts(sheet.get().kind(), sheet.get().datedOn()),
              Facts.NONE);
          return Outcome.done();
        });
  }

  private static Facts facts(DataSheetRepository.Kind kind, LocalDate datedOn) {
    return Facts.of("sheet", kind.words()).with("dated", datedOn.toString());
  }

  private void note(Session session, Sent sent, Product product, Facts before, Facts after) {
    session
        .audit()
        .add(sent.line(clock.now(), Matter.PRODUCT, product.display(), Deed.EDITED, before, after));
  }
}
