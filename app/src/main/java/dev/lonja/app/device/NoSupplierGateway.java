package dev.lonja.app.device;

import dev.lonja.core.order.Order;
import dev.lonja.core.order.SupplierAnswer;
import dev.lonja.desk.order.SupplierGateway;
import java.util.List;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** No supplier's system is connected; orders go out on paper or by e-mail. */
@Component
@Profile("!bench")
class NoSupplierGateway implements SupplierGateway {

  @Override
  public boolean reaches(String supplier) {
    return false;
  }

  @Override
  public boolean hand(String message, Order order) {
    return false;
  }

  @Override
  public List<SupplierAnswer> waiting() {
    return List.of();
  }

  @Override
  public void acknowledge(SupplierAnswer answer) {
    // there are none
  }
}
