package org.tidyleaf.web.review;

import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.tidyleaf.web.account.Teacher;

/** What every request of the review says first. */
@ControllerAdvice(
        assignableTypes = {
            ReviewController.class,
            ArrangeController.class,
            WholeTestController.class,
            ManyController.class,
            PictureController.class
        })
class ReviewAdvice {

    @ModelAttribute("at")
    At at(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "-1") int seen) {
        return new At(teacher.id(), id, seen);
    }
}
