package org.tidyleaf.web.review;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.tidying.Decision;

/** Whole questions, sections and passages: added by hand, copied, moved, joined, changed. Each answers with what changed. */
@Controller
@RequestMapping("/leaf/{id}")
class ArrangeController {
    private final ReviewService reviews;

    ArrangeController(ReviewService reviews) {
        this.reviews = reviews;
    }

    /** @param after the question to stand behind; empty for the first place */
    @PostMapping("/add")
    String add(
            @ModelAttribute("at") At at,
            @RequestParam(defaultValue = "") String after,
            @RequestParam(defaultValue = "single-choice") String type,
            Model model) {
        QuestionType wanted = QuestionType.labelled(type).orElse(QuestionType.SINGLE_CHOICE);
        return reviews.add(at, after, wanted).in(model);
    }

    @PostMapping("/section")
    String section(
            @ModelAttribute("at") At at,
            @RequestParam int place,
            @RequestParam String title,
            @RequestParam(defaultValue = "") String instructions,
            Model model) {
        Decision edit = new Decision.EditSection(place, title.strip(), plain(instructions));
        return reviews.decide(at, edit).in(model);
    }

    @PostMapping("/passage")
    String passage(@ModelAttribute("at") At at, @RequestParam int place, @RequestParam String text, Model model) {
        return reviews.decide(at, new Decision.EditPassage(place, plain(text))).in(model);
    }

    /** Browsers send line ends as two characters. */
    private static String plain(String text) {
        return text.replace("\r\n", "\n").strip();
    }

    @PostMapping("/question/{question}/copy")
    String copy(@ModelAttribute("at") At at, @PathVariable String question, Model model) {
        return reviews.copy(at, question).in(model);
    }

    @PostMapping("/question/{question}/move")
    String move(@ModelAttribute("at") At at, @PathVariable String question, @RequestParam int by, Model model) {
        return reviews.decide(at, new Decision.Move(question, by)).in(model);
    }

    @PostMapping("/question/{question}/merge")
    String merge(@ModelAttribute("at") At at, @PathVariable String question, Model model) {
        return reviews.decide(at, new Decision.Merge(question)).in(model);
    }
}
