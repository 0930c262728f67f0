package dev.lonja.web.ubl;

import com.helger.ubl21.UBL21Marshaller;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.CustomerPartyType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.DeliveryType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.ItemIdentificationType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.ItemType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.LineItemType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.MonetaryTotalType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.OrderLineType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.PartyNameType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.PartyType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.PeriodType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.PriceType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.SupplierPartyType;
import oasis.names.specification.ubl.schema.xsd.commonbasiccomponents_21.DescriptionType;
import oasis.names.specification.ubl.schema.xsd.commonbasiccomponents_21.NoteType;
import oasis.names.specification.ubl.schema.xsd.order_21.OrderType;

/** Writes an order as a UBL 2.1 Order. */
public final class UblOrder {

  /** UN/CEFACT 1001: an order. */
  private static final String ORDER = "220";

  private final Order order;
  private final String buyer;
  private final Currency currency;

  /**
   * @param buyer the name of the store
   */
  public UblOrder(Order order, String buyer, Currency currency) {
    this.order = order;
    this.buyer = buyer;
    this.currency = currency;
  }

  /** The document; of a draft it bears the day on which that was begun. */
  public byte[] document() {
    OrderType document = new OrderType();
    document.setUBLVersionID("2.1");
    document.setID(order.id().toString());
    document.setIssueDate(order.sentOn().orElse(order.madeOn()));
    document.setOrderTypeCode(ORDER);
    document.setDocumentCurrencyCode(currency.getCurrencyCode());
    if (!order.note().isEmpty()) {
      document.addNote(new NoteType(order.note()));
    }
    CustomerPartyType customer = new CustomerPartyType();
    customer.setParty(party(buyer));
    document.setBuyerCustomerParty(customer);
    SupplierPartyType seller = new SupplierPartyType();
    seller.setParty(party(order.supplier().name()));
    document.setSellerSupplierParty(seller);
    order.lines().forEach(line -> document.addOrderLine(line(line)));
    MonetaryTotalType total = new MonetaryTotalType();
    Money worth = order.worth(currency);
    total.setLineExtensionAmount(worth.amount()).setCurrencyID(currency.getCurrencyCode());
    total
        .setPayableAmount(worth.plus(order.freight(currency)).amount())
        .setCurrencyID(currency.getCurrencyCode());
    document.setAnticipatedMonetaryTotal(total);
    byte[] written = UBL21Marshaller.order().setFormattedOutput(true).getAsBytes(document);
    if (written == null) {
      throw new IllegalStateException("order " + order.id() + " is no valid UBL order");
    }
    return written;
  }

  private OrderLineType line(OrderLine line) {
    LineItemType item = new LineItemType();
    item.setID(line.id().toString());
    item.setQuantity(line.ordered().amount()).setUnitCode(unit(line.item().measure()));
    item.setLineExtensionAmount(line.cost().amount()).setCurrencyID(currency.getCurrencyCode());
    line.fate().promisedOn().ifPresent(day -> item.addDelivery(delivery(day)));
    PriceType price = new PriceType();
    price
        .setPriceAmount(new BigDecimal(line.holds().exactText()))
        .setCurrencyID(currency.getCurrencyCode());
    item.setPrice(price);
    item.setItem(item(line));
    OrderLineType orderLine = new OrderLineType();
    orderLine.setLineItem(item);
    return orderLine;
  }

  private static ItemType item(OrderLine line) {
    ItemType item = new ItemType();
    item.setName(line.item().make() + " " + line.item().number());
    if (!line.item().description().isEmpty()) {
      item.addDescription(new DescriptionType(line.item().description()));
    }
    ItemIdentificationType ours = new ItemIdentificationType();
    ours.setID(line.item().number());
    item.setBuyersItemIdentification(ours);
    if (!line.theirNumber().isEmpty()) {
      ItemIdentificationType theirs = new ItemIdentificationType();
      theirs.setID(line.theirNumber());
      item.setSellersItemIdentification(theirs);
    }
    return item;
  }

  private static DeliveryType delivery(LocalDate day) {
    PeriodType period = new PeriodType();
    period.setEndDate(day);
    DeliveryType delivery = new DeliveryType();
    delivery.setRequestedDeliveryPeriod(period);
    return delivery;
  }

  private static PartyType party(String name) {
    PartyNameType partyName = new PartyNameType();
    partyName.setName(name);
    PartyType party = new PartyType();
    party.addPartyName(partyName);
    return party;
  }

  /** UN/ECE recommendation 20: a piece, a litre, a kilogram. */
  static String unit(Measure measure) {
    return switch (measure) {
      case PIECES -> "C62";
      case LITRES -> "LTR";
      case KILOGRAMS -> "KGM";
    };
  }
}
