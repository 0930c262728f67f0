package dev.lonja.app.device;

import dev.lonja.desk.label.LabelPrinter;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** No label printer is connected; labels come as PDF. */
@Component
@Profile("!bench")
class NoLabelPrinter implements LabelPrinter {

  @Override
  public boolean isConnected() {
    return false;
  }

  @Override
  public Answer print(String what, byte[] page) {
    return Answer.NOT_CONNECTED;
  }
}
