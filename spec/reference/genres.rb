# frozen_string_literal: true

# Made-up papers of the kinds that offices and students have beside theses: minutes, letters, forms, manuals, reports,
# a poem, a listing. Each line says what it is; each paper how it is set. Structure and wording follow common practice;
# they were written before the rules that are measured on them were tried on them.
module Genres
  H = {1 => {bold: true, size: 16.0}, 2 => {bold: true, size: 13.0}, 3 => {bold: true, italic: true}}.freeze

  # name => [how each role is set over the text, text with "role| words" a line]
  PAPERS = {
    "minutes en" => [{"title" => {bold: true, size: 18.0}, "heading_1" => {bold: true}}, <<~TEXT],
      title| Minutes of the Harbour Committee
      other| Held on 4 March 2026 in the Customs House, Ravelmouth
      other| Present: Ines Aldermoor (chair), Bram Cullen, Odile Farrow
      other| Apologies: Jonas Gale
      heading_1| 1. Minutes of the last meeting
      body| The minutes of the meeting of 5 February were read and agreed without changes, and the chair signed them.
      heading_1| 2. Dredging of the east channel
      body| The harbour engineer said that the survey of the east channel had found less silt than was feared after the winter storms.
      body| It was agreed that the tender would be opened again in April, and that the owners of the ferries would be told in writing.
      list_item| • Bram Cullen to write to the ferry owners
      list_item| • Odile Farrow to ask the dredging firm for a new date
      heading_1| 3. Berthing fees
      body| The committee discussed the draft table of fees at length. Small boats would pay a little less than before, and visiting yachts a little more.
      heading_1| 4. Any other business
      body| The clerk asked all members to return their keys to the old boathouse before it is let to the rowing club in May.
      heading_1| 5. Date of next meeting
      body| The committee will meet again on 8 April 2026 at ten in the morning, in the same room, with the fees as the first item.
    TEXT
    "minutes de" => [{"title" => {bold: true, size: 16.0}, "heading_1" => {bold: true}}, <<~TEXT],
      title| Niederschrift über die Sitzung des Hafenausschusses
      other| Datum: 12. Mai 2026
      other| Ort: Rathaus, Zimmer 14
      other| Anwesend: Frau Aldermoor, Herr Brack, Frau Eskew
      heading_1| TOP 1 Begrüßung und Tagesordnung
      body| Die Vorsitzende begrüßt die Anwesenden und stellt fest, dass zur Sitzung fristgerecht eingeladen wurde und der Ausschuss beschlussfähig ist.
      heading_1| TOP 2 Zustand der Kaimauer
      body| Der Hafenmeister berichtet, dass die Fugen der westlichen Kaimauer auf einer Länge von vierzig Metern ausgewaschen sind und vor dem Winter erneuert werden müssen.
      body| Der Ausschuss beschließt einstimmig, drei Angebote einzuholen und in der nächsten Sitzung darüber zu beraten.
      heading_1| TOP 3 Liegegebühren für Gäste
      body| Über die Höhe der Gebühren wird lange gesprochen. Ein Beschluss wird vertagt, bis die Zahlen des vergangenen Jahres vorliegen.
      heading_1| TOP 4 Verschiedenes
      body| Herr Brack weist darauf hin, dass die Schlüssel des alten Bootshauses bis Ende des Monats zurückzugeben sind.
    TEXT
    "letter en" => [{"heading_1" => {bold: true}}, <<~TEXT],
      other| Ravelmouth Harbour Authority
      other| 3 Custom House Quay
      other| Ravelmouth
      other| 17 June 2026
      other| Dear Mrs Farrow,
      body| Thank you for your letter about the noise of the pumps at the old dry dock, which we have read with care.
      body| The pumps have to run at night for as long as the gates of the dock leak, and we expect the new gates to be hung before the end of August. Until then we shall run them at half speed between eleven and six.
      body| If the noise goes on to trouble you, please call the duty officer, who can have them stopped for an hour at any time.
      other| Yours sincerely,
      other| Bram Cullen
      other| Harbour Master
    TEXT
    "letter fr" => [{}, <<~TEXT],
      other| Capitainerie de Ravelmouth
      other| Ravelmouth, le 3 septembre 2026
      other| Madame, Monsieur,
      body| Nous vous remercions de votre demande du 20 août et nous avons le plaisir de vous confirmer la place que vous avez retenue au quai est pour la semaine du 14 septembre.
      body| Le pilote vous attendra à la bouée rouge une heure avant la pleine mer. Nous vous prions de signaler votre arrivée par radio dès que le phare est en vue.
      body| Les droits de port sont payables à l’arrivée, au bureau du port, qui est ouvert tous les jours de huit heures à midi.
      other| Cordialement,
      other| Odile Farrow
    TEXT
    "manual en" => [{"title" => {size: 20.0}, "heading_1" => H[1], "heading_2" => H[2]}, <<~TEXT],
      title| Tide Gauge Handbook
      other| Edition 3, for station keepers
      heading_1| 1 Introduction
      body| This handbook tells station keepers how to read the gauge, how to enter the reading, and what to do when the gauge fails.
      heading_1| 2 Reading the gauge
      heading_2| 2.1 Before you begin
      body| Make sure that the lamp is charged and that the book is dry. Never open the well while waves break over the landing.
      heading_2| 2.2 Taking a reading
      list_item| 1. Open the lid of the well and let the float come to rest.
      list_item| 2. Read the scale at the lower edge of the float, to the nearest centimetre.
      list_item| 3. Write the reading, the time and your initials in the book.
      body| If the float does not come to rest within a minute, take three readings and enter the middle one of them.
      heading_3| 2.2.1 Readings in frost
      body| In frost the float may freeze to the side of the well. Pour warm water along the guide, and wait until it moves freely.
      heading_1| 3 Safety
      body| Two keepers must be on the landing at all times, and one of them must hold the line while the other one leans over the well.
      list_item| – Wear the vest.
      list_item| – Clip the line to the rail.
      list_item| – Call the office before and after.
    TEXT
    "report es" => [{"title" => {bold: true, size: 20.0}, "heading_1" => H[1], "heading_2" => H[2]}, <<~TEXT],
      title| Informe sobre el estado del dique norte
      other| Oficina Técnica del Puerto de Ravelmouth
      other| Octubre de 2026
      heading_1| Resumen
      body| El dique norte se encuentra en buen estado general, pero la coronación presenta grietas en tres puntos que conviene reparar antes del invierno.
      heading_1| Antecedentes
      body| El dique fue construido hace sesenta años y se ha reparado dos veces. La última inspección completa se hizo después de los temporales de 2014.
      heading_2| Inspecciones anteriores
      body| Los informes anteriores señalaban ya un asiento de la coronación, aunque sin indicar sus causas ni proponer medidas concretas para corregirlo.
      heading_1| Recomendaciones
      list_item| a) Sellar las grietas con mortero antes de noviembre.
      list_item| b) Medir el asiento dos veces al año durante tres años.
      list_item| c) Reservar una partida para rehacer el tramo final.
      caption| Tabla 1. Grietas medidas en la coronación
      body| Con estas medidas el dique puede prestar servicio durante otros veinte años sin obras mayores, según los cálculos de esta oficina.
    TEXT
    "form en" => [{"title" => {bold: true, size: 15.0}, "heading_1" => {bold: true, caps: true}}, <<~TEXT],
      title| Application for a Mooring
      body| Please fill in all parts of this form in capital letters and hand it in at the harbour office before the first of March.
      heading_1| A. Applicant
      other| Name: ______________________
      other| Address: ______________________
      other| Telephone: ______________________
      heading_1| B. Vessel
      other| Name of vessel: ______________________
      other| Length: __________ Beam: __________
      body| A copy of the insurance of the vessel has to be enclosed. Applications without one will be sent back to the applicant.
      heading_1| C. Declaration
      body| I have read the by-laws of the harbour and shall keep to them as long as my vessel lies at one of its moorings.
      other| Date: ____________ Signature: ____________________
    TEXT
    "paper en" => [{"title" => {size: 18.0}, "heading_1" => {bold: true, size: 14.0},
                    "caption" => {italic: true, size: 10.0}},
      <<~TEXT],
        title| Counting Gates: sluices of the Ravel in two registers
        other| Ines Aldermoor
        heading_1| Abstract
        body| Two registers of the sluices of the Ravel differ by eleven gates. This paper shows that both are right, and that they were made for different ends.
        heading_1| Introduction
        body| Whoever has worked with the registers knows that they do not agree. Most writers have followed the later one, as it is easier to read (Brack 1950).
        quote| “We have walked the wall from the mill to the sea, and have found of gates great and small no more than three and twenty, whereof four were shut and would not open for us or for the keeper, who told us that they had been so since the flood.”
        heading_1| Sources and Method
        body| Every gate that is named in one of the registers was looked for on the ground, with the help of the survey of 1871 and of the owners of the land.
        caption| Figure 1. Gates found on the ground, by parish
        body| Figure 1 shows that most of the gates that are missing from the earlier register lie east of the mill, on land that was not drained until later.
        heading_1| What the Earlier Register Leaves Out
        body| The earlier register leaves out all gates that paid no due. It is a list of income, not of buildings, and its maker never claimed anything else.
        heading_1| References
        reference_entry| Aldermoor, I. (2019). Salt and Timber. Ravelmouth: Quay Press.
        reference_entry| Brack, B. (1950). Gates of the Ravel. Ravelmouth: Quay Press.
        reference_entry| Cullen, C. and Farrow, O. (2003). ‘Dues after the breach’, Journal of Small Harbours, 4, pp. 12–31.
        reference_entry| Eskew, D. (1998). The Drained Land. Dunmere: Marsh Books.
      TEXT
    "notice it" => [{"title" => {bold: true, size: 16.0}, "heading_1" => {bold: true}}, <<~TEXT],
      title| Avviso ai naviganti
      other| Ravelmouth, 9 gennaio 2026
      heading_1| Chiusura del canale est
      body| Si avvisa che il canale est sarà chiuso alla navigazione dal 12 al 20 gennaio per il dragaggio del fondo davanti al vecchio mulino.
      heading_1| Passaggio consentito
      body| I pescherecci del porto possono passare due volte al giorno, un’ora prima e un’ora dopo l’alta marea, chiamando la capitaneria via radio.
      heading_1| Informazioni
      body| Per ogni informazione è possibile rivolgersi all’ufficio del porto, aperto tutti i giorni feriali dalle nove alle tredici.
    TEXT
    "thesis pt" => [{"title" => {bold: true, size: 22.0}, "heading_1" => H[1], "heading_2" => H[2],
                     "heading_3" => H[3]},
      <<~TEXT],
        title| As marés do Ravel e os seus moinhos
        other| Dissertação apresentada à Universidade de Ravelmouth
        other| Ines Aldermoor
        other| 2026
        heading_1| Resumo
        body| Esta dissertação estuda os moinhos de maré do Ravel entre 1780 e 1871, com base nos livros de contas e em dois levantamentos do canal.
        heading_1| 1 Introdução
        body| Os moinhos de maré foram durante muito tempo o centro da vida económica da vila, e o seu desaparecimento foi mais lento do que se tem dito.
        heading_2| 1.1 As fontes
        body| Os livros de contas conservam-se quase completos na capitania. Faltam apenas dois anos, que podem ser supridos pelas cópias enviadas à cidade.
        heading_2| 1.2 O método
        body| Cada reparação foi registada com a data, o custo e o material usado, e comparada com as alturas da maré observadas no mesmo mês.
        heading_3| 1.2.1 As alturas da maré
        body| As alturas foram lidas no marco do cais velho e reduzidas ao zero atual, segundo a tabela publicada pela capitania no século passado.
        heading_1| 2 Os moinhos
        body| Houve no Ravel ao todo nove moinhos de maré, dos quais seis trabalhavam ainda quando o canal foi desviado para norte.
        heading_1| Conclusão
        body| Os moinhos não desapareceram por falta de água nem de trigo, mas porque deixou de haver quem soubesse consertá-los a tempo.
      TEXT
    "verse en" => [{"title" => {bold: true, size: 16.0}, "heading_1" => {bold: true, size: 14.0}}, <<~TEXT],
      title| Songs of the Quay
      heading_1| The Keeper
      other| I kept the gate by night and day,
      other| I kept it dry, I kept it shut,
      other| and when the water went away
      other| I slept an hour in the hut.
      other| * * *
      other| The water came, the water fell,
      other| it never asked me who I was,
      other| and what it took I could not tell,
      other| but wrote it in the book because
      heading_1| A Note on the Text
      body| The songs were written down in the winter of 1911 by the clerk of the harbour, who had heard them from the last keeper of the gate.
    TEXT
    "howto en" => [{"title" => {bold: true, size: 16.0}, "heading_1" => H[2]}, <<~TEXT]
      title| How the readings are kept
      heading_1| Where the file lies
      body| All readings of a year lie in one file, which is copied to the office every night by a small program that runs on the machine in the hut.
      code| readings = File.readlines("gauge.txt")
      code| readings.each do |line|
      code|   store(line.split(";"))
      code| end
      heading_1| What the program does
      body| The program reads the file line by line and stores each reading with its time. A line that can't be read is kept in a file of its own.
      list_item| ☐ Check that the clock is right
      list_item| ☐ Check that the disk has room
      list_item| ☑ Tell the office
      heading_1| When something fails
      body| If the program stops, start it again by hand and tell the office, which will look at the file of the day before anything is lost.
    TEXT
  }.freeze

  module_function

  # [Document, {id => role}]; formatted: as each paper is set, else nothing but words
  def document(name, formatted:, gaps: false, papers: PAPERS)
    looks, text = papers.fetch(name)
    truth = {}
    list = []
    text.each_line(chomp: true) do |line|
      role, words = line.match(/\A(\w+)\| (.*)\z/).captures
      list << paragraph(list.size + 1, "", {}) && truth[list.size] = "blank" if gaps && list.any? && role != "code"
      list << paragraph(list.size + 1, words, formatted ? looks.fetch(role, {}) : {})
      truth[list.size] = role
    end
    [Flattened.bare.with(paragraphs: list.freeze), truth]
  end

  def paragraph(id, words, look)
    none = Norvel::Styles::PropertySet::EMPTY
    runs = words.empty? ? [] : [Norvel::Document::Run.new(words, nil, Norvel::Styles::PropertySet.of(look), nil)]
    Norvel::Document::Paragraph.new(id, :body, 1, nil, none, none, runs)
  end
end
