package dev.lonja.web.request;

import java.beans.PropertyEditorSupport;
import java.util.Optional;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.InitBinder;

/** A text field that did not come with a form is empty, like one that came with nothing in it. */
@ControllerAdvice
class AbsentFields {

  @InitBinder
  void empty(WebDataBinder binder) {
    binder.registerCustomEditor(String.class, new AbsentAsEmpty());
  }

  private static final class AbsentAsEmpty extends PropertyEditorSupport {
    @Override
    public void setAsText(String text) {
      setValue(text);
    }

    @Override
    public Object getValue() {
      return Optional.ofNullable(super.getValue()).orElse("");
    }
  }
}
