package org.tidyleaf.web.sitting;

import java.math.BigDecimal;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.tidyleaf.marking.HandMark;
import org.tidyleaf.question.Question;
import org.tidyleaf.web.account.Teacher;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.page.MarkedCard;
import org.tidyleaf.web.page.Pictures;
import org.tidyleaf.web.page.ProseHtml;

/** Open answers marked question by question over all candidates, and whole scripts looked at. */
@Controller
@RequestMapping("/sitting/{id}")
class MarkingController {

    /** A note longer than this is a letter. */
    private static final int LONGEST_NOTE = 2000;

    private final SittingService sittings;
    private final LeafService leaves;

    MarkingController(SittingService sittings, LeafService leaves) {
        this.sittings = sittings;
        this.leaves = leaves;
    }

    /** @param names whether the candidates' names stand beside their answers */
    @GetMapping("/mark")
    String mark(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String question,
            @RequestParam(defaultValue = "false") boolean names,
            Model model) {
        Marking marking = sittings.marking(teacher.id(), id);
        model.addAttribute("sitting", sittings.summary(teacher.id(), id));
        model.addAttribute("open", marking.open());
        model.addAttribute("names", names);
        String first = marking.open().stream()
                .filter(open -> open.waiting() > 0)
                .map(Marking.Open::id)
                .findFirst()
                .orElse(marking.open().isEmpty() ? "" : marking.open().get(0).id());
        marking.question(question.isEmpty() ? first : question).ifPresent(asked -> asked(marking, asked, model));
        return "sitting/mark";
    }

    private static void asked(Marking marking, Question asked, Model model) {
        String figures = "/sitting/" + marking.sitting() + "/figure/";
        model.addAttribute("asked", asked.id());
        model.addAttribute("number", marking.number(asked));
        model.addAttribute(
                "stem", new ProseHtml(figures).html(asked.particulars().stem()));
        model.addAttribute("most", marking.most(asked));
        model.addAttribute("limits", asked.particulars().settings().words().words());
        model.addAttribute("model", marking.model(asked));
        model.addAttribute("answers", marking.answers(asked));
    }

    /** @param partial set by htmx; a browser that sends the form by itself gets the whole page again */
    @PostMapping("/mark")
    String give(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam UUID script,
            @RequestParam String question,
            @RequestParam BigDecimal points,
            @RequestParam(defaultValue = "") String note,
            @RequestHeader(name = "HX-Request", defaultValue = "false") boolean partial) {
        String kept =
                note.strip().substring(0, Math.min(LONGEST_NOTE, note.strip().length()));
        sittings.give(teacher.id(), id, script, question, new HandMark(points, kept));
        return partial ? "sitting/given :: given" : "redirect:/sitting/" + id + "/mark?question=" + question;
    }

    @GetMapping("/script/{script}")
    String script(
            @AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, @PathVariable UUID script, Model model) {
        Marking marking = sittings.marking(teacher.id(), id);
        ResultTable.Answers answers =
                marking.script(script).orElseThrow(() -> new NoSuchSittingException(script.toString()));
        String figures = "/sitting/" + id + "/figure/";
        model.addAttribute("sitting", sittings.summary(teacher.id(), id));
        model.addAttribute("candidate", answers.candidate());
        model.addAttribute("script", script);
        model.addAttribute(
                "total", MarkedCard.total(marking.quiz(), answers.responses(), answers.marks(), marking.rules()));
        model.addAttribute(
                "cards", MarkedCard.of(marking.quiz(), answers.responses(), answers.marks(), marking.rules(), figures));
        return "sitting/script";
    }

    @GetMapping("/figures")
    String figures(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, Model model) {
        model.addAttribute("sitting", sittings.summary(teacher.id(), id));
        model.addAttribute("figures", FiguresPage.of(sittings.marking(teacher.id(), id)));
        return "sitting/figures";
    }

    /** Points changed on a script, for a reason that is kept. */
    @PostMapping("/script/{script}")
    String override(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @PathVariable UUID script,
            @RequestParam String question,
            @RequestParam BigDecimal points,
            @RequestParam String note) {
        String kept =
                note.strip().substring(0, Math.min(LONGEST_NOTE, note.strip().length()));
        sittings.give(teacher.id(), id, script, question, new HandMark(points, kept));
        return "redirect:/sitting/" + id + "/script/" + script + "#marked-" + question;
    }

    @GetMapping("/figure/{figure}")
    ResponseEntity<byte[]> figure(
            @AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, @PathVariable String figure) {
        Marking marking = sittings.marking(teacher.id(), id);
        return Pictures.response(leaves.figure(marking.leaf(), figure));
    }
}
