package org.tidyleaf.web.sharing;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.tidyleaf.web.account.Teacher;

/** Who works on a leaf, and the page where an invited colleague makes an account. */
@Controller
class SharingController {
    private final SharingService sharing;

    SharingController(SharingService sharing) {
        this.sharing = sharing;
    }

    @GetMapping("/leaf/{id}/sharing")
    String sharing(
            @AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, HttpServletRequest request, Model model) {
        model.addAttribute("leaf", id);
        model.addAttribute("sharing", sharing.sharing(teacher.id(), id));
        model.addAttribute(
                "address",
                ServletUriComponentsBuilder.fromContextPath(request)
                        .path("/join/")
                        .toUriString());
        return "sharing/sharing :: sharing";
    }

    @PostMapping("/leaf/{id}/sharing")
    String share(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam String mail,
            HttpServletRequest request,
            Model model) {
        sharing.share(teacher.id(), id, mail);
        return sharing(teacher, id, request, model);
    }

    @PostMapping("/leaf/{id}/sharing/end")
    String unshare(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam UUID colleague,
            HttpServletRequest request,
            Model model) {
        sharing.unshare(teacher.id(), id, colleague);
        return sharing(teacher, id, request, model);
    }

    /** What an invited colleague fills in. */
    record Joining(
            @NotBlank(message = "Write the name that colleagues know you by.")
            String name,

            @Size(min = 10, max = 200, message = "Take at least ten characters.")
            String password) {}

    @GetMapping("/join/{code}")
    String joining(@PathVariable String code, Model model) {
        model.addAttribute("joining", new Joining("", ""));
        return page(code, model);
    }

    @PostMapping("/join/{code}")
    String join(
            @PathVariable String code,
            @Valid @ModelAttribute("joining") Joining joining,
            BindingResult faults,
            Model model) {
        if (faults.hasErrors()) {
            return page(code, model);
        }
        sharing.join(code, joining.name(), joining.password());
        return "redirect:/sign-in?made";
    }

    private String page(String code, Model model) {
        model.addAttribute("code", code);
        model.addAttribute("mail", sharing.invited(code).orElseThrow(() -> new NoSuchInvitationException(code)));
        return "sharing/join";
    }
}
