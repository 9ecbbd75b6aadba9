# frozen_string_literal: true

# Further made-up papers, written after the rules and measured as they came. Lines as in genres.rb.
module HeldBack
  B = {bold: true}.freeze
  PAPERS = {
    "questions en" => [{"title" => {size: 20.0}, "heading_1" => B}, <<~TEXT],
      title| Visiting Ravelmouth by Boat
      other| Answers to what visitors ask most
      heading_1| Where can I moor?
      body| Visitors moor at the east quay, on the buoys with yellow tops. Call the duty officer on channel 12 before you enter the channel.
      heading_1| How long can I stay?
      body| You can stay for up to fourteen days in any month. Longer stays need a letter from the harbour master, which costs nothing.
      heading_1| Is there water and power on the quay?
      body| There is water on every second bollard. Power is paid for with a card that the office sells, and the card can be handed back when you leave.
      heading_1| What if the tide is wrong?
      body| Wait at the outer buoy. The bar has a depth of two metres at low water, and no boat should cross it in a swell from the south.
    TEXT
    "ordinance de" => [{"title" => {bold: true, size: 16.0}, "heading_1" => {bold: true, size: 13.0}, "heading_2" => B},
      <<~TEXT],
        title| Hafenordnung der Stadt Ravelmouth
        other| vom 3. Februar 2026
        heading_1| Abschnitt I. Allgemeines
        heading_2| § 1 Geltungsbereich
        body| Diese Ordnung gilt für alle Fahrzeuge, die den Hafen anlaufen, in ihm liegen oder ihn verlassen, und für alle Personen, die sich auf den Anlagen aufhalten.
        heading_2| § 2 Begriffe
        list_item| a) Hafen ist die Wasserfläche innerhalb der Molen.
        list_item| b) Fahrzeug ist jedes schwimmende Gerät mit oder ohne eigenen Antrieb.
        heading_1| Abschnitt II. Liegeplätze
        heading_2| § 3 Zuweisung
        body| Liegeplätze weist der Hafenmeister zu. Ein Anspruch auf einen bestimmten Platz besteht nicht, auch wenn er in früheren Jahren zugewiesen war.
        heading_2| § 4 Gebühren
        body| Für die Benutzung werden Gebühren nach der Gebührentafel erhoben, die im Hafenamt aushängt und jedes Jahr im Herbst neu beschlossen wird.
      TEXT
    "plan en" => [{"title" => {bold: true, size: 18.0}, "heading_1" => {size: 14.0, color: "#1d6646"},
                   "heading_2" => {bold: true}},
      <<~TEXT],
        title| Renewal of the Upper Sluice
        subtitle| Project plan, second draft
        other| Prepared by Odile Farrow
        heading_1| Purpose
        body| The gates of the upper sluice have to be renewed before the winter of 2027. This plan says who does what, and what it costs.
        heading_1| Phases
        heading_2| Phase 1: Survey
        body| Divers look at the sill and the hinges, and the office measures how far the walls have moved since the last survey.
        heading_2| Phase 2: Drawings
        body| The drawings are made by the yard that builds the gates, and are checked by the office within three weeks of their delivery.
        heading_2| Phase 3: Building
        body| The gates are built in the yard over the summer, and brought to the sluice on two barges at the spring tide in September.
        heading_1| Risks
        list_item| • The sill may be worse than it looks from above.
        list_item| • Oak of the needed length may be hard to find.
        caption| Table 1. Costs by phase
        body| The costs in the table hold for prices of last autumn. A tenth has been added for what nobody can foresee.
      TEXT
    "lecture fr" => [{"title" => {bold: true, size: 16.0}, "heading_1" => {bold: true, size: 13.0},
                      "heading_2" => {italic: true}},
      <<~TEXT],
        title| Les moulins à marée et leur droit
        other| Cours du 12 octobre 2026
        heading_1| I. Les sources du droit
        body| Le droit des moulins à marée ne tient pas dans un seul texte. Il faut le chercher dans les baux, dans les registres du port et dans les jugements.
        heading_2| A. Les baux
        body| Les baux fixent la hauteur de la vanne et le nombre de marées. Ils sont presque tous de trois, six ou neuf années et se ressemblent beaucoup.
        heading_2| B. Les registres
        body| Les registres notent ce que chaque moulin devait au port. Ils sont plus complets que les baux, mais ils ne disent rien des réparations.
        heading_1| II. Le conflit du chenal
        quote| « Il est défendu à tous meuniers, tant du port que de la rivière, de tenir leurs vannes closes plus de six heures après la pleine mer, à peine de cent livres d’amende et de la perte de leur bail, sans qu’il soit besoin d’autre jugement. »
        body| Ce texte est le seul qui parle d’une peine. On ne sait pas s’il a jamais été appliqué, car les comptes du port se taisent sur ce point.
        heading_1| Conclusion
        body| Le droit des moulins a survécu aux moulins eux-mêmes. Les derniers procès datent d’une époque où il ne restait plus que des ruines.
      TEXT
    "notes en" => [{"title" => {bold: true}, "heading_1" => {bold: true}}, <<~TEXT],
      title| Staff meeting, tide office
      other| 11 May 2026
      other| Ines, Bram, Odile, Jonas
      heading_1| Rota for the summer
      body| Jonas is away for the first two weeks of July. Odile takes his nights, and Bram takes the mornings at the upper station.
      heading_1| The new gauge
      body| The new gauge reads four centimetres lower than the old one. We keep both running until the end of the month and write down both readings.
      list_item| - Bram to make a table for both readings
      list_item| - Ines to tell the city
      heading_1| Open days
      body| The office is open to visitors on the second Saturday of June. Last year there were more children than chairs, so we borrow chairs from the school.
    TEXT
    "memo es" => [{"title" => {bold: true, size: 14.0}, "heading_1" => B}, <<~TEXT],
      title| Memorando
      other| Para: Todo el personal
      other| De: Capitanía del puerto
      other| Fecha: 2 de marzo de 2026
      other| Asunto: Nuevo horario de la esclusa
      body| Desde el lunes la esclusa superior abre dos horas antes de la pleamar y cierra una hora después, también los domingos y los días de fiesta.
      heading_1| Por qué cambia el horario
      body| El dragado del canal obliga a mantener el nivel más alto durante la semana, y la experiencia del año pasado aconseja no esperar al verano.
      heading_1| Qué hay que hacer
      list_item| 1. Avisar a los patrones por radio antes de cada maniobra.
      list_item| 2. Anotar en el libro la hora de apertura y la de cierre.
      list_item| 3. Llamar a la oficina si el nivel baja de dos metros.
      body| Las dudas se resuelven en la oficina técnica, que está abierta todas las mañanas y atiende también por teléfono.
    TEXT
    "essay it" => [{"title" => {size: 18.0}, "heading_1" => {bold: true, size: 13.0}}, <<~TEXT]
      title| Il guardiano della porta
      other| Saggio di Ines Aldermoor
      body| Chi arriva a Ravelmouth dal mare vede per prima cosa una torre bassa, senza finestre, che non serve più a niente e che nessuno ha il coraggio di abbattere.
      heading_1| La torre
      body| La torre fu costruita per il guardiano della porta, che doveva vedere le barche prima che fossero troppo vicine per poterle fermare.
      heading_1| Il libro
      body| Del guardiano rimane un libro di duecento pagine, scritto ogni giorno per quarant’anni, in cui il tempo e le barche hanno lo stesso posto.
      other| * * *
      body| Alla fine del libro la scrittura cambia. Qualcuno ha continuato per un anno, poi le pagine restano bianche fino all’ultima, dove c’è solo una data.
      heading_1| Bibliografia
      reference_entry| Aldermoor, I., Sale e legno, Ravelmouth, Quay Press, 2019.
      reference_entry| Brack, B., Le porte del Ravel, Ravelmouth, Quay Press, 1950.
      reference_entry| Eskew, D., La terra asciutta, Dunmere, Marsh Books, 1998.
    TEXT
  }.freeze
end
