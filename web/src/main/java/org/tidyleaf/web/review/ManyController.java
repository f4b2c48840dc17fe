package org.tidyleaf.web.review;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is decided about some questions at once, undone at once. */
@Controller
@RequestMapping("/leaf/{id}/many")
class ManyController {
    private final ReviewService reviews;

    ManyController(ReviewService reviews) {
        this.reviews = reviews;
    }

    /** @param value what the change needs: points, a type's label, the place of a section and so on */
    @PostMapping("/{change}")
    String change(
            @ModelAttribute("at") At at,
            @PathVariable ManyChange change,
            @RequestParam List<String> questions,
            @RequestParam(defaultValue = "") String value,
            Model model) {
        return reviews.many(at, change, questions, value.strip()).in(model);
    }
}
