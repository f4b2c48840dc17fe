package org.tidyleaf.web.page;

import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.multipart.MaxUploadSizeExceededException;

/** Exceptions to pages that say what to do. */
@ControllerAdvice
class ErrorPages {

    @ExceptionHandler(NotHereException.class)
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String notHere(NotHereException exception, Model model) {
        return page(model, exception.heading(), exception.advice());
    }

    @ExceptionHandler(MaxUploadSizeExceededException.class)
    @ResponseStatus(HttpStatus.CONTENT_TOO_LARGE)
    String tooLarge(Model model) {
        return page(
                model,
                "That was too much at once",
                "A file may have 100 MB, all together 400 MB. Make its pictures smaller, or drop fewer at a time.");
    }

    private static String page(Model model, String heading, String advice) {
        model.addAttribute("heading", heading);
        model.addAttribute("advice", advice);
        return "page/problem";
    }
}
