package org.tidyleaf.web.review;

import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.web.account.Teacher;

/** Whole questions, sections and passages: added by hand, copied, moved, joined, changed. Each answers with the workspace. */
@Controller
@RequestMapping("/leaf/{id}")
class ArrangeController {
    private static final String WORKSPACE = "review/workspace :: workspace";

    private final ReviewService reviews;

    ArrangeController(ReviewService reviews) {
        this.reviews = reviews;
    }

    /** @param after the question to stand behind; empty for the first place */
    @PostMapping("/add")
    String add(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String after,
            @RequestParam(defaultValue = "single-choice") String type,
            Model model) {
        QuestionType wanted = QuestionType.labelled(type).orElse(QuestionType.SINGLE_CHOICE);
        model.addAttribute("page", reviews.add(teacher.id(), id, after, wanted));
        return WORKSPACE;
    }

    @PostMapping("/section")
    String section(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam int place,
            @RequestParam String title,
            @RequestParam(defaultValue = "") String instructions,
            Model model) {
        Decision edit = new Decision.EditSection(place, title.strip(), plain(instructions));
        model.addAttribute("page", reviews.decide(teacher.id(), id, edit));
        return WORKSPACE;
    }

    @PostMapping("/passage")
    String passage(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam int place,
            @RequestParam String text,
            Model model) {
        model.addAttribute("page", reviews.decide(teacher.id(), id, new Decision.EditPassage(place, plain(text))));
        return WORKSPACE;
    }

    /** Browsers send line ends as two characters. */
    private static String plain(String text) {
        return text.replace("\r\n", "\n").strip();
    }

    @PostMapping("/question/{question}/copy")
    String copy(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @PathVariable String question,
            Model model) {
        model.addAttribute("page", reviews.copy(teacher.id(), id, question));
        return WORKSPACE;
    }

    @PostMapping("/question/{question}/move")
    String move(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @PathVariable String question,
            @RequestParam int by,
            Model model) {
        model.addAttribute("page", reviews.decide(teacher.id(), id, new Decision.Move(question, by)));
        return WORKSPACE;
    }

    @PostMapping("/question/{question}/merge")
    String merge(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @PathVariable String question,
            Model model) {
        model.addAttribute("page", reviews.decide(teacher.id(), id, new Decision.Merge(question)));
        return WORKSPACE;
    }
}
