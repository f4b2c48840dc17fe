package org.tidyleaf.web.proof;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
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
import org.tidyleaf.marking.Response;
import org.tidyleaf.marking.SampleResponses;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.tidying.Tidied;
import org.tidyleaf.web.account.Teacher;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.leaf.OpenLeaf;
import org.tidyleaf.web.page.AnswerCard;
import org.tidyleaf.web.page.LineHtml;
import org.tidyleaf.web.page.MarkedCard;
import org.tidyleaf.web.page.Responses;

/** Answering a leaf oneself; nothing of it is kept. */
@Controller
@RequestMapping("/leaf/{id}/proof")
class ProofController {
    private static final int SEEDS = 1000;

    private final LeafService leaves;
    private final Random random = new Random();

    ProofController(LeafService leaves) {
        this.leaves = leaves;
    }

    /**
     * @param fill "right", or a number that a filling at random grows from
     * @param frame whether it is shown in the phone's frame
     */
    @GetMapping
    String proof(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String fill,
            @RequestParam(defaultValue = "false") boolean frame,
            Model model) {
        Quiz quiz = leaves.open(teacher.id(), id).tidied().quiz();
        List<AnswerCard> cards = AnswerCard.of(quiz, filled(quiz, fill), figures(id));
        page(id, quiz, frame, model);
        model.addAttribute("groups", AnswerCard.groups(cards));
        // Beside a passage there is need of room.
        model.addAttribute(
                "wide", cards.stream().anyMatch(card -> !card.passage().isEmpty()));
        model.addAttribute("seed", random.nextInt(SEEDS));
        return "proof/proof";
    }

    private static Responses filled(Quiz quiz, String fill) {
        Map<String, Response> responses = new HashMap<>();
        if (fill.equals("right")) {
            quiz.questions().forEach(question -> responses.put(question.id(), SampleResponses.right(question)));
        } else if (fill.matches("\\d{1,6}")) {
            Random guess = new Random(Integer.parseInt(fill));
            quiz.questions().forEach(question -> responses.put(question.id(), SampleResponses.random(question, guess)));
        }
        return new Responses(responses);
    }

    private static void page(UUID id, Quiz quiz, boolean frame, Model model) {
        model.addAttribute("leaf", id);
        model.addAttribute("title", quiz.title());
        model.addAttribute("inFrame", frame);
    }

    @GetMapping("/phone")
    String phone(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, Model model) {
        page(id, leaves.open(teacher.id(), id).tidied().quiz(), false, model);
        return "proof/phone";
    }

    /** A question as the document prints it and as it is answered. */
    record Parity(List<String> lines, AnswerCard card) {}

    @GetMapping("/parity")
    String parity(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, Model model) {
        OpenLeaf leaf = leaves.open(teacher.id(), id);
        Tidied tidied = leaf.tidied();
        page(id, tidied.quiz(), false, model);
        model.addAttribute(
                "rows",
                AnswerCard.of(tidied.quiz(), Responses.NONE, figures(id)).stream()
                        .map(card -> new Parity(printed(leaf, card.id()), card))
                        .toList());
        return "proof/parity";
    }

    private static List<String> printed(OpenLeaf leaf, String question) {
        List<ReadQuestion> read = leaf.tidied().reading().questions();
        LineHtml html = new LineHtml(leaf.source(), figures(leaf.id()));
        return leaf.tidied().reading().ledger().stream()
                .filter(entry -> entry.question() > 0
                        && read.get(entry.question() - 1).question().id().equals(question))
                .map(entry -> html.html(leaf.source().line(entry.line())))
                .toList();
    }

    @PostMapping
    String mark(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "false") boolean frame,
            @RequestParam MultiValueMap<String, String> fields,
            Model model) {
        Quiz quiz = leaves.open(teacher.id(), id).tidied().quiz();
        Responses responses = Responses.parse(fields, quiz);
        page(id, quiz, frame, model);
        model.addAttribute("total", MarkedCard.total(quiz, responses));
        model.addAttribute("cards", MarkedCard.of(quiz, responses, figures(id)));
        return "proof/marked";
    }

    private static String figures(UUID leaf) {
        return "/leaf/" + leaf + "/figure/";
    }
}
