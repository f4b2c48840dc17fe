package org.tidyleaf.web.proof;

import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.web.account.Teacher;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.page.AnswerCard;
import org.tidyleaf.web.page.MarkedCard;
import org.tidyleaf.web.page.Responses;

/** Answering a leaf oneself; nothing of it is kept. */
@Controller
@RequestMapping("/leaf/{id}/proof")
class ProofController {
    private final LeafService leaves;

    ProofController(LeafService leaves) {
        this.leaves = leaves;
    }

    @GetMapping
    String proof(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, Model model) {
        Quiz quiz = leaves.open(teacher.id(), id).tidied().quiz();
        model.addAttribute("leaf", id);
        model.addAttribute("title", quiz.title());
        model.addAttribute("cards", AnswerCard.of(quiz, Responses.NONE, figures(id)));
        return "proof/proof";
    }

    @PostMapping
    String mark(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam MultiValueMap<String, String> fields,
            Model model) {
        Quiz quiz = leaves.open(teacher.id(), id).tidied().quiz();
        Responses responses = Responses.parse(fields, quiz);
        model.addAttribute("leaf", id);
        model.addAttribute("title", quiz.title());
        model.addAttribute("total", MarkedCard.total(quiz, responses));
        model.addAttribute("cards", MarkedCard.of(quiz, responses, figures(id)));
        return "proof/marked";
    }

    private static String figures(UUID leaf) {
        return "/leaf/" + leaf + "/figure/";
    }
}
