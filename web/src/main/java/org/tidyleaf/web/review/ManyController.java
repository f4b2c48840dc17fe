package org.tidyleaf.web.review;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.tidying.Decision;

/** What is decided about some questions at once, undone at once. */
@Controller
@RequestMapping("/leaf/{id}/many")
class ManyController {
    private final ReviewService reviews;

    ManyController(ReviewService reviews) {
        this.reviews = reviews;
    }

    @PostMapping("/points")
    String points(
            @ModelAttribute("at") At at,
            @RequestParam List<String> questions,
            @RequestParam BigDecimal points,
            Model model) {
        List<Decision> decisions = new ArrayList<>();
        questions.forEach(question -> decisions.add(new Decision.SetPoints(question, points.abs())));
        String notice = points.abs().toPlainString() + " points each for " + count(questions) + ".";
        return reviews.decide(at, new Decision.Several(decisions), notice).in(model);
    }

    @PostMapping("/type")
    String type(
            @ModelAttribute("at") At at, @RequestParam List<String> questions, @RequestParam String type, Model model) {
        List<Decision> decisions = new ArrayList<>();
        QuestionType.labelled(type)
                .ifPresent(wanted ->
                        questions.forEach(question -> decisions.add(new Decision.ChangeType(question, wanted))));
        return reviews.decide(at, new Decision.Several(decisions), "Type changed for " + count(questions) + ".")
                .in(model);
    }

    @PostMapping("/delete")
    String delete(@ModelAttribute("at") At at, @RequestParam List<String> questions, Model model) {
        List<Decision> decisions = new ArrayList<>();
        questions.forEach(question -> decisions.add(new Decision.Delete(question)));
        return reviews.decide(at, new Decision.Several(decisions), count(questions) + " deleted; z brings them back.")
                .in(model);
    }

    private static String count(List<String> questions) {
        return questions.size() == 1 ? "1 question" : questions.size() + " questions";
    }
}
