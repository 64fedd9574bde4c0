// A student's page.
#let line-of(given, name, body) = block(
  above: 2.4mm,
  grid(columns: (34mm, 1fr), gutter: 3mm, quiet(name), align(if given.rtl { right } else { left }, body)),
)
#let sheet(given) = [
  = #given.name
  #grid(
    columns: (1fr, auto), gutter: 4mm, align: bottom,
    text(size: 12pt, weight: "bold", given.title), quiet(given.about),
  )
  #line(length: 100%, stroke: 0.6pt + luma(160))
  #for one in given.figures { box(inset: (right: 10mm))[#quiet(one.name) #text(size: 13pt, weight: "bold", one.value)] }
  #if given.words.len() > 0 { block(above: 5mm, rich(given.words)) }
  #if given.questions.len() == 0 and given.nothing != "" { block(above: 5mm, given.nothing) }
  #for q in given.questions {
    block(breakable: q.long, above: 5mm, width: 100%, stroke: (top: 0.4pt + luma(190)), inset: (top: 3mm))[
      #heading(level: 2, asked(q))
      #picture(q.picture)
      #line-of(given, given.labels.your_answer)[
        #if q.light != none { light(q.light) }
        #if q.answered { text(lang: q.lang, rich(q.answer)) } else { quiet(given.labels.no_answer) }
        #for one in q.remarks { quiet[ (#one)] }
      ]
      #if q.key.len() > 0 { line-of(given, given.labels.right_answer, text(lang: q.lang, rich(q.key))) }
      #if q.comment.len() > 0 { line-of(given, given.labels.comment, rich(q.comment)) }
      #if q.explanation.len() > 0 { line-of(given, given.labels.why, text(lang: q.lang, rich(q.explanation))) }
    ]
  }
]
#all-sheets(sheet)
