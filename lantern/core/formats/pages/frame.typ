// What every page of results has: light formatting, marks as lights that are also said, pictures, and sheet after sheet.
// `given.sheets` are the sheets, each in its own language; each begins a page, and counts its pages from 1.
#let given = json(bytes(sys.inputs.given))
#set text(font: given.fonts, lang: given.lang, size: 10pt)
#let rich(runs) = {
  for run in runs {
    if run.kind == "formula" {
      box(baseline: run.below * 1em, image(bytes(run.svg), format: "svg", height: run.height * 1em, alt: run.alt))
    } else if run.kind == "break" {
      linebreak()
    } else if run.kind == "gap" {
      parbreak()
    } else {
      text(
        run.text,
        weight: if run.bold { "bold" } else { "regular" },
        style: if run.italic { "italic" } else { "normal" },
        fill: if run.code { rgb("#444") } else { black },
      )
    }
  }
}
#set document(title: given.document, author: "Tall Lantern")
#set page(
  paper: given.paper, margin: (x: 18mm, top: 16mm, bottom: 16mm),
  footer: context text(size: 8pt, fill: luma(90))[
    #given.footer #h(1fr) #counter(page).display("1")
  ],
)
#set par(leading: 0.6em)
#show heading.where(level: 1): set text(size: 18pt)
#show heading.where(level: 2): set text(size: 11pt)
#let quiet(body) = text(fill: luma(80), body)
#let light(mark) = box(
  baseline: 15%, image(bytes(mark.svg), format: "svg", height: 1em, alt: mark.said),
)
#let picture(one) = if one != none {
  block(above: 2mm, image(bytes(one.svg), format: "svg", height: one.height * 1mm, alt: one.alt))
}
#let asked(q) = {
  set text(font: q.fonts, lang: q.lang, region: none)
  [#quiet[#q.number. ]#rich(q.prompt)]
}
#let all-sheets(body) = for (number, sheet) in given.sheets.enumerate() {
  if number > 0 { pagebreak() }
  counter(page).update(1)
  set text(font: sheet.fonts, lang: sheet.lang)
  body(sheet)
}
