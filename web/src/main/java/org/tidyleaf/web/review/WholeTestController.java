package org.tidyleaf.web.review;

import java.io.IOException;
import java.math.BigDecimal;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.web.account.Teacher;

/** What concerns all questions at once: points, keys, words, repairs of snags and the history. */
@Controller
@RequestMapping("/leaf/{id}")
class WholeTestController {
    private static final String WORKSPACE = "review/workspace :: workspace";

    private final ReviewService reviews;
    private final WholeTestService whole;

    WholeTestController(ReviewService reviews, WholeTestService whole) {
        this.reviews = reviews;
        this.whole = whole;
    }

    @PostMapping("/spread")
    String spread(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam BigDecimal total,
            @RequestParam(defaultValue = "1") BigDecimal step,
            Model model) {
        model.addAttribute("page", whole.spread(teacher.id(), id, total.abs(), step));
        return WORKSPACE;
    }

    @PostMapping("/key-file")
    String keyFile(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam MultipartFile file,
            Model model)
            throws IOException {
        String name = file.getOriginalFilename() == null ? "key" : file.getOriginalFilename();
        model.addAttribute("page", whole.keyFile(teacher.id(), id, name, file.getBytes()));
        return WORKSPACE;
    }

    /** Shows every hit before anything is changed. */
    @GetMapping("/find")
    String find(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String wanted,
            @RequestParam(defaultValue = "") String with,
            @RequestParam(defaultValue = "false") boolean words,
            Model model) {
        model.addAttribute("wanted", wanted);
        model.addAttribute("hits", whole.hits(teacher.id(), id, wanted, with, words));
        return "review/found :: found";
    }

    @PostMapping("/replace")
    String replace(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam String wanted,
            @RequestParam(defaultValue = "") String with,
            @RequestParam(defaultValue = "false") boolean words,
            Model model) {
        model.addAttribute("page", whole.replace(teacher.id(), id, wanted, with, words));
        return WORKSPACE;
    }

    /** @param place which of the snag's repairs, counted from 0 */
    @PostMapping("/repair")
    String repair(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam String kind,
            @RequestParam int line,
            @RequestParam int place,
            Model model) {
        model.addAttribute("page", whole.repair(teacher.id(), id, kind, line, place));
        return WORKSPACE;
    }

    @GetMapping("/history")
    String history(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, Model model) {
        model.addAttribute("leaf", id);
        model.addAttribute("history", whole.history(teacher.id(), id));
        return "review/history :: history";
    }

    @PostMapping("/back")
    String back(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, @RequestParam int kept, Model model) {
        model.addAttribute("page", reviews.decide(teacher.id(), id, new Decision.BackTo(kept)));
        return WORKSPACE;
    }
}
