// A question's page.
#let bar(share) = box(
  width: 22mm, height: 2.6mm, fill: luma(232), align(left, box(width: share * 100%, height: 100%, fill: luma(90))),
)
#let marked(r) = if r.light == none { [#r.mark] } else { [#light(r.light) #r.mark] }
#let sheet(given) = [
  = #given.heading
  #quiet(given.about)
  #block(above: 5mm, text(size: 12pt, asked(given.question)))
  #picture(given.question.picture)
  #if given.key.len() > 0 { block(above: 4mm)[#quiet(given.labels.right) #text(lang: given.question.lang, rich(given.key))] }
  #block(above: 4mm)[
    #for one in given.figures { box(inset: (right: 9mm, bottom: 2mm))[#quiet(one.name) #text(weight: "bold", one.value)] }
  ]
  #if given.counts.len() > 0 [
    == #given.labels.counts
    #table(
      columns: (auto, 1fr, auto, 34mm) + if given.thirds { (auto, auto, auto) } else { () },
      stroke: (x, y) => (bottom: 0.4pt + luma(190)), align: (x, y) => if x == 1 { start } else { center + horizon },
      inset: (x: 2mm, y: 1.6mm),
      table.header(
        [], [*#given.labels.answer*], [*#given.labels.given*], [*#given.labels.share*],
        ..if given.thirds { ([*#given.labels.lowest*], [*#given.labels.middle*], [*#given.labels.highest*]) } else { () },
      ),
      ..given.counts.map(c => (
        if c.light == none { [] } else { light(c.light) },
        [#c.label #rich(c.text)], [#c.count],
        grid(
          columns: (22mm, 1fr), gutter: 1.5mm, align: horizon,
          bar(c.share),
          [#c.percent],
        ),
        ..if given.thirds { c.thirds.map(n => [#n]) } else { () },
      )).flatten(),
    )
  ]
  #if given.more != "" { quiet(given.more) }
  #for one in given.remarks { block(above: 2.5mm, [– #one]) }
  #if given.explanation.len() > 0 { block(above: 4mm)[#quiet(given.labels.explanation) #rich(given.explanation)] }
  #if given.rows != none [
    == #given.labels.answers
    #table(
      columns: (auto, 1fr, auto), stroke: (x, y) => (bottom: 0.4pt + luma(190)), inset: (x: 2mm, y: 1.2mm),
      table.header([*#given.labels.name*], [*#given.labels.answer*], [*#given.labels.mark*]),
      ..given.rows.map(r => ([#r.name], rich(r.answer), marked(r))).flatten(),
    )
  ]
]
#all-sheets(sheet)
