package dev.lonja.web.ubl;

import com.helger.commons.error.list.ErrorList;
import com.helger.jaxb.GenericJAXBMarshaller;
import com.helger.ubl21.UBL21Marshaller;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.order.Said;
import dev.lonja.core.order.SupplierAnswer;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.text.Lengths;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.DeliveryType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.DespatchLineType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.LineItemType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.OrderLineType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.OrderReferenceType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.PeriodType;
import oasis.names.specification.ubl.schema.xsd.despatchadvice_21.DespatchAdviceType;
import oasis.names.specification.ubl.schema.xsd.orderresponse_21.OrderResponseType;
import org.w3c.dom.Document;
import org.xml.sax.SAXException;

/**
 * Reads what a supplier says of an order: a UBL 2.1 Order Response or Despatch Advice that is valid
 * by its schema. A document type declaration, and with it every entity, is refused.
 */
public final class UblAnswer {

  /** UN/CEFACT 1229: not accepted. */
  private static final String NOT_ACCEPTED = "7";

  private final Order order;

  /**
   * @param order the one that the answer should be about
   */
  public UblAnswer(Order order) {
    this.order = order;
  }

  /** A document cannot be used; the message says why, in a sentence. */
  public static final class Unusable extends Exception {
    private static final long serialVersionUID = 1L;

    Unusable(String why) {
      super(why);
    }
  }

  /** What a document says. */
  public SupplierAnswer read(byte[] bytes) throws Unusable {
    Document document = parsed(bytes);
    String root = document.getDocumentElement().getLocalName();
    if ("OrderResponse".equals(root)) {
      return response(valid(UBL21Marshaller.orderResponse(), document, "Order Response"));
    }
    if ("DespatchAdvice".equals(root)) {
      return advice(valid(UBL21Marshaller.despatchAdvice(), document, "Despatch Advice"));
    }
    throw new Unusable(
        "It begins with " + root + "; allowed are OrderResponse and DespatchAdvice of UBL 2.1.");
  }

  private static <T> T valid(GenericJAXBMarshaller<T> marshaller, Document document, String what)
      throws Unusable {
    ErrorList errors = new ErrorList();
    marshaller.setCollectErrors(errors);
    // what is wrong is answered, not logged
    marshaller.readExceptionCallbacks().removeAll();
    T read = marshaller.read(document);
    if (read == null) {
      String first =
          errors.isEmpty() ? "" : " " + errors.getFirstOrNull().getErrorText(Locale.ROOT);
      throw new Unusable("It is no valid UBL 2.1 " + what + "." + first);
    }
    return read;
  }

  private static Document parsed(byte[] bytes) throws Unusable {
    try {
      DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
      factory.setNamespaceAware(true);
      factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
      factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
      factory.setExpandEntityReferences(false);
      var builder = factory.newDocumentBuilder();
      builder.setErrorHandler(null);
      return builder.parse(new ByteArrayInputStream(bytes));
    } catch (SAXException | IOException e) {
      throw new Unusable("It cannot be read as XML without a document type declaration.");
    } catch (ParserConfigurationException e) {
      throw new IllegalStateException("the XML parser cannot be made safe", e);
    }
  }

  private SupplierAnswer response(OrderResponseType response) throws Unusable {
    List<Said> said = new ArrayList<>();
    for (OrderLineType orderLine : response.getOrderLine()) {
      if (!orderLine.getSellerSubstitutedLineItem().isEmpty()) {
        LineItemType other = orderLine.getSellerSubstitutedLineItem().get(0);
        said.add(
            new Said.Superseded(line(orderLine.getLineItem().getIDValue()).id(), number(other)));
      } else {
        said.add(said(orderLine.getLineItem()));
      }
    }
    return answer(response.getIDValue(), response.getOrderReference(), said);
  }

  private static String number(LineItemType other) throws Unusable {
    var theirs = other.getItem().getSellersItemIdentification();
    if (theirs == null || theirs.getIDValue() == null) {
      throw new Unusable("A line has another item in its place without its number.");
    }
    return theirs.getIDValue();
  }

  private Said said(LineItemType item) throws Unusable {
    OrderLine line = line(item.getIDValue());
    if (NOT_ACCEPTED.equals(item.getLineStatusCodeValue())) {
      return new Said.Cancelled(line.id(), "not accepted");
    }
    BigDecimal quantity =
        item.getQuantityValue() == null ? line.ordered().amount() : item.getQuantityValue();
    if (item.getQuantity() != null) {
      checkUnit(line, item.getQuantity().getUnitCode());
    }
    return new Said.Confirmed(
        line.id(), quantity(line, quantity), price(line, item), day(line, item.getDelivery()));
  }

  private static Optional<UnitPrice> price(OrderLine line, LineItemType item) throws Unusable {
    Optional<BigDecimal> amount =
        Optional.ofNullable(item.getPrice()).map(price -> price.getPriceAmountValue());
    if (amount.filter(UblAnswer::isNoPrice).isPresent()) {
      throw new Unusable(
          "Line "
              + line.id()
              + " costs "
              + amount.get().toPlainString()
              + "; allowed is 0 or more.");
    }
    return amount.map(a -> UnitPrice.of(a, line.price().currency()));
  }

  private static boolean isNoPrice(BigDecimal amount) {
    return amount.signum() < 0
        || amount.movePointRight(2).compareTo(BigDecimal.valueOf(Limits.PRICE_MINOR)) > 0;
  }

  private static Quantity quantity(OrderLine line, BigDecimal amount) throws Unusable {
    try {
      return Quantity.of(line.item().measure(), amount);
    } catch (ArithmeticException | IllegalArgumentException e) {
      throw new Unusable("A quantity of " + amount.toPlainString() + " cannot be kept.");
    }
  }

  private static void checkUnit(OrderLine line, String unit) throws Unusable {
    String ours = UblOrder.unit(line.item().measure());
    if (unit != null && !unit.isEmpty() && !unit.equals(ours)) {
      throw new Unusable(
          "Line " + line.id() + " is in " + unit + "; it was ordered in " + ours + ".");
    }
  }

  /** The day that they name; where they name none, the one that was promised before holds. */
  private LocalDate day(OrderLine line, List<DeliveryType> deliveries) throws Unusable {
    Optional<LocalDate> said =
        deliveries.stream()
            .findFirst()
            .flatMap(
                delivery ->
                    end(delivery.getPromisedDeliveryPeriod())
                        .or(() -> end(delivery.getEstimatedDeliveryPeriod()))
                        .or(() -> end(delivery.getRequestedDeliveryPeriod())));
    return said.or(() -> line.fate().promisedOn())
        .orElseThrow(() -> new Unusable("Line " + line.id() + " says no day."));
  }

  private static Optional<LocalDate> end(PeriodType period) {
    return Optional.ofNullable(period)
        .flatMap(
            p ->
                Optional.ofNullable(p.getEndDateValueLocal())
                    .or(() -> Optional.ofNullable(p.getStartDateValueLocal())));
  }

  private SupplierAnswer advice(DespatchAdviceType advice) throws Unusable {
    Optional<DeliveryType> delivery =
        Optional.ofNullable(advice.getShipment()).map(shipment -> shipment.getDelivery());
    List<DeliveryType> deliveries = delivery.map(List::of).orElse(List.of());
    List<Said> said = new ArrayList<>();
    for (DespatchLineType despatched : advice.getDespatchLine()) {
      if (despatched.getOrderLineReference().isEmpty()) {
        throw new Unusable("A line names no line of the order.");
      }
      OrderLine line = line(despatched.getOrderLineReference().get(0).getLineIDValue());
      if (despatched.getDeliveredQuantity() == null) {
        throw new Unusable("Line " + line.id() + " says no quantity.");
      }
      checkUnit(line, despatched.getDeliveredQuantity().getUnitCode());
      said.add(
          new Said.Shipped(
              line.id(),
              quantity(line, despatched.getDeliveredQuantityValue()),
              day(line, deliveries)));
    }
    return answer(advice.getIDValue(), advice.getOrderReference(), said);
  }

  private OrderLine line(String id) throws Unusable {
    return order.lines().stream()
        .filter(line -> line.id().toString().equals(id))
        .findFirst()
        .orElseThrow(() -> new Unusable("The order has no line \"" + id + "\"."));
  }

  private SupplierAnswer answer(String id, List<OrderReferenceType> references, List<Said> said)
      throws Unusable {
    String about = references.isEmpty() ? "" : String.valueOf(references.get(0).getIDValue());
    if (!about.equals(order.id().toString())) {
      throw new Unusable("It is about order \"" + about + "\", not about " + order.id() + ".");
    }
    if (id == null || id.isBlank() || id.length() > Lengths.SHORT) {
      throw new Unusable("Its number is \"" + id + "\"; allowed are 1 to 40 characters.");
    }
    String supplier = order.supplier().name();
    // suppliers number their documents each by themselves
    return new SupplierAnswer(
        "ubl-" + order.supplier().id() + "-" + id, supplier, order.id(), said);
  }
}
