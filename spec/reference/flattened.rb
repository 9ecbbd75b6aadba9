# frozen_string_literal: true

# Well-structured documents with known roles, and what becomes of them when all styles are turned into direct formatting
# in one style, with the noise of real use. The truth comes from the structure before; the schemes follow house formats
# of many kinds (common practice) and were written before the rules that are measured on them were tried on them.
module Flattened
  VOCABULARY = {
    "en" => [%w[The\ mill The\ keeper A\ second\ survey The\ harbour\ office This\ reading Each\ sluice],
      %w[was\ repaired stood\ dry confirms\ the\ account has\ been\ dated shows\ little\ change],
      %w[in\ the\ third\ lease after\ the\ flood for\ several\ winters as\ the\ register\ says
        near\ the\ eastern\ quay],
      %w[Chapter Abstract Introduction References Figure Table],
      ["Sources and method", "The keepers of the gate", "Repairs", "Tides", "What the register shows",
        "A note on timber", "Dates", "Why the channel moved", "Two readings compared", "Limits of the evidence"]],
    "de" => [%w[Die\ Mühle Der\ Wärter Eine\ zweite\ Vermessung Das\ Hafenamt Jede\ Schleuse],
      %w[wurde\ erneuert stand\ lange\ leer bestätigt\ die\ Rechnung lässt\ sich\ datieren],
      %w[in\ der\ dritten\ Pacht nach\ der\ Flut über\ mehrere\ Winter wie\ das\ Register\ sagt],
      %w[Kapitel Zusammenfassung Einleitung Literaturverzeichnis Abbildung Tabelle],
      ["Quellen und Verfahren", "Die Wärter am Tor", "Ausbesserungen", "Gezeiten", "Was das Register zeigt", "Zum Holz",
        "Datierung", "Warum der Kanal wanderte", "Zwei Lesarten", "Grenzen"]],
    "fr" => [%w[Le\ moulin Le\ gardien Un\ second\ relevé Le\ bureau\ du\ port Chaque\ vanne],
      %w[fut\ réparé resta\ à\ sec confirme\ le\ compte a\ été\ daté],
      %w[sous\ le\ troisième\ bail après\ la\ crue pendant\ plusieurs\ hivers selon\ le\ registre],
      %w[Chapitre Résumé Introduction Bibliographie Figure Tableau],
      ["Sources et méthode", "Les gardiens de la porte", "Réparations", "Marées", "Ce que montre le registre",
        "Note sur le bois", "Datation", "Pourquoi le chenal a bougé", "Deux lectures", "Limites"]],
    "es" => [%w[El\ molino El\ guarda Un\ segundo\ estudio La\ oficina\ del\ puerto Cada\ compuerta],
      %w[fue\ reparado quedó\ seco confirma\ la\ cuenta ha\ sido\ fechado],
      %w[en\ el\ tercer\ arriendo tras\ la\ crecida durante\ varios\ inviernos según\ el\ registro],
      %w[Capítulo Resumen Introducción Bibliografía Figura Tabla],
      ["Fuentes y método", "Los guardas de la puerta", "Reparaciones", "Mareas", "Lo que muestra el registro",
        "Nota sobre la madera", "Fechas", "Por qué se movió el canal", "Dos lecturas", "Límites"]],
    "pt" => [%w[O\ moinho O\ guarda Um\ segundo\ estudo A\ capitania Cada\ comporta],
      %w[foi\ reparado ficou\ seco confirma\ a\ conta foi\ datado],
      %w[no\ terceiro\ contrato após\ a\ cheia durante\ vários\ invernos segundo\ o\ registo],
      %w[Capítulo Resumo Introdução Referências Figura Tabela],
      ["Fontes e método", "Os guardas da porta", "Reparações", "Marés", "O que mostra o registo",
        "Nota sobre a madeira", "Datas", "Porque se moveu o canal", "Duas leituras", "Limites"]],
    "it" => [%w[Il\ mulino Il\ guardiano Un\ secondo\ rilievo L’ufficio\ del\ porto Ogni\ chiusa],
      %w[fu\ riparato rimase\ asciutto conferma\ il\ conto è\ stato\ datato],
      %w[nel\ terzo\ contratto dopo\ la\ piena per\ molti\ inverni secondo\ il\ registro],
      %w[Capitolo Riassunto Introduzione Bibliografia Figura Tabella],
      ["Fonti e metodo", "I guardiani della porta", "Riparazioni", "Maree", "Che cosa mostra il registro",
        "Nota sul legno", "Datazione", "Perché il canale si spostò", "Due letture", "Limiti"]]
  }.freeze

  S = ->(paragraph: {}, **run) { [paragraph, run] }
  DOUBLE = {line_spacing: {rule: "multiple", value: 2.0}}.freeze
  SCHEMES = {
    "classical" => {numbers: :chapter,
                    body: S[size: 12.0, font: "Times New Roman",
                      paragraph: {first_line: 36.0, align: "justify", **DOUBLE}],
                    heading_1: S[size: 16.0, bold: true, caps: :typed, font: "Times New Roman",
                      paragraph: {align: "center", space_after: 12.0}],
                    heading_2: S[size: 14.0, bold: true, font: "Times New Roman"],
                    heading_3: S[size: 12.0, bold: true, italic: true, font: "Times New Roman"],
                    title: S[size: 22.0, bold: true, font: "Times New Roman", paragraph: {align: "center"}],
                    quote: S[size: 11.0, font: "Times New Roman", paragraph: {indent_left: 36.0, indent_right: 36.0}],
                    caption: S[size: 10.0, italic: true, font: "Times New Roman"]},
    "office" => {body: S[size: 11.0, font: "Calibri", paragraph: {space_after: 8.0}],
                 heading_1: S[size: 16.0, font: "Cambria", color: "#2f5496",
                   paragraph: {space_before: 12.0, keep_with_next: true}],
                 heading_2: S[size: 13.0, font: "Cambria", color: "#2f5496",
                   paragraph: {space_before: 6.0, keep_with_next: true}],
                 heading_3: S[size: 12.0, font: "Cambria", color: "#1f3763",
                   paragraph: {space_before: 4.0, keep_with_next: true}],
                 title: S[size: 28.0, font: "Cambria"], subtitle: S[size: 14.0, font: "Calibri", color: "#595959"],
                 quote: S[size: 11.0, italic: true, font: "Calibri",
                   paragraph: {indent_left: 43.0, indent_right: 43.0}],
                 caption: S[size: 9.0, italic: true, font: "Calibri", color: "#44546a"]},
    "one size" => {body: S[size: 12.0, font: "Times New Roman", paragraph: {first_line: 36.0, **DOUBLE}],
                   heading_1: S[size: 12.0, bold: true, font: "Times New Roman", paragraph: {align: "center"}],
                   heading_2: S[size: 12.0, bold: true, font: "Times New Roman"],
                   heading_3: S[size: 12.0, bold: true, italic: true, font: "Times New Roman"],
                   title: S[size: 14.0, bold: true, font: "Times New Roman", paragraph: {align: "center"}],
                   quote: S[size: 12.0, font: "Times New Roman", paragraph: {indent_left: 36.0}],
                   caption: S[size: 12.0, italic: true, font: "Times New Roman"]},
    "small capitals" => {body: S[size: 11.5, font: "Garamond", paragraph: {first_line: 18.0, align: "justify"}],
                         heading_1: S[size: 15.0, small_caps: true, font: "Garamond",
                           paragraph: {align: "center", space_after: 18.0}],
                         heading_2: S[size: 12.5, italic: true, font: "Garamond", paragraph: {space_before: 12.0}],
                         title: S[size: 24.0, font: "Garamond", paragraph: {align: "center"}],
                         subtitle: S[size: 15.0, italic: true, font: "Garamond", paragraph: {align: "center"}],
                         quote: S[size: 10.5, font: "Garamond", paragraph: {indent_left: 24.0, indent_right: 24.0}],
                         caption: S[size: 9.5, font: "Garamond", paragraph: {align: "center"}]},
    "numbered" => {numbers: :decimal, body: S[size: 10.0, font: "Arial", paragraph: {space_after: 6.0}],
                   heading_1: S[size: 14.0, bold: true, font: "Arial"],
                   heading_2: S[size: 12.0, bold: true, font: "Arial"],
                   heading_3: S[size: 10.0, bold: true, font: "Arial"], title: S[size: 20.0, bold: true, font: "Arial"],
                   quote: S[size: 9.0, font: "Arial", paragraph: {indent_left: 28.0}],
                   caption: S[size: 8.5, bold: true, font: "Arial"]},
    "typewriter" => {body: S[size: 12.0, font: "Courier New", paragraph: DOUBLE],
                     heading_1: S[size: 12.0, caps: :typed, font: "Courier New", paragraph: {align: "center"}],
                     heading_2: S[size: 12.0, underline: "single", font: "Courier New"],
                     title: S[size: 16.0, caps: :typed, font: "Courier New", paragraph: {align: "center"}],
                     quote: S[size: 12.0, font: "Courier New", paragraph: {indent_left: 36.0}],
                     caption: S[size: 12.0, font: "Courier New"]},
    "report" => {numbers: :decimal,
                 body: S[size: 11.0, font: "Verdana",
                   paragraph: {line_spacing: {rule: "multiple", value: 1.5}, align: "left"}],
                 heading_1: S[size: 18.0, bold: true, color: "#1d6646", font: "Verdana",
                   paragraph: {page_break_before: true}],
                 heading_2: S[size: 14.0, color: "#1d6646", font: "Verdana"],
                 heading_3: S[size: 11.0, bold: true, color: "#1d6646", font: "Verdana"],
                 heading_4: S[size: 11.0, italic: true, font: "Verdana"],
                 title: S[size: 32.0, bold: true, font: "Verdana"],
                 quote: S[size: 10.0, italic: true, font: "Verdana", paragraph: {indent_left: 30.0}],
                 caption: S[size: 9.0, font: "Verdana"]}
  }.freeze

  # One document: paragraphs as [role, text, part, runs], by chance from a seed.
  class Text
    attr_reader :paragraphs

    def initialize(language, scheme, seed)
      @subjects, @verbs, @tails, @terms, @heads = VOCABULARY.fetch(language)
      @scheme = scheme
      @dice = Random.new(seed)
      @paragraphs = []
      @figures = 0
      front
      4.times { |n| chapter(n + 1) }
      references
    end

    private

    def pick(list) = list[@dice.rand(list.size)]

    def chance?(share) = @dice.rand < share

    def sentence = "#{pick(@subjects)} #{pick(@verbs)} #{pick(@tails)}#{", #{pick(@tails)}" if chance?(0.5)}."

    def running(count = 3 + @dice.rand(4)) = Array.new(count) { sentence }.join(" ")

    def add(role, text, part: :body, lead: nil) = @paragraphs << [role, text, part, lead]

    def front
      add("title", "#{pick(@heads)}: #{pick(@heads).downcase}")
      add("subtitle", "#{pick(@heads)}, #{pick(@tails)}") if @scheme[:subtitle]
      add("heading_1", heading_text(@terms[1]))
      2.times { add("body", running) }
    end

    def heading_text(text) = (@scheme[:heading_1][1][:caps] == :typed) ? text.upcase : text

    def chapter(number)
      text = pick(@heads)
      text = {chapter: "#{@terms[0]} #{number}. #{text}", decimal: "#{number} #{text}"}.fetch(@scheme[:numbers], text)
      add("heading_1", heading_text(text))
      body
      (2 + @dice.rand(2)).times { |n| section(number, n + 1) }
    end

    def section(chapter, number)
      add("heading_2", "#{"#{chapter}.#{number} " if @scheme[:numbers]}#{pick(@heads)}")
      body
      return unless @scheme[:heading_3] && chance?(0.6)
      2.times do |n|
        add("heading_3", "#{"#{chapter}.#{number}.#{n + 1} " if @scheme[:numbers] == :decimal}#{pick(@heads)}")
        body
        next unless @scheme[:heading_4] && chance?(0.5)
        add("heading_4", pick(@heads))
        body
      end
    end

    # Running text with what stands between, and what might be taken for something else.
    def body
      (2 + @dice.rand(3)).times { add("body", running) }
      case @dice.rand(11)
      when 0, 1 then add("quote", running(5))
      when 2, 3 then figure
      when 4 then table
      when 5 then (3 + @dice.rand(3)).times do |n|
        add("list_item", "#{chance?(0.5) ? "•" : "#{n + 1}."}\t#{sentence}") &&
          @paragraphs[-1][1].sub!(/\A\S+/, @mark ||= "•")
      end
      when 6 then add("body", sentence, lead: :all_bold)
      when 7 then add("body", running, lead: :bold_begin)
      when 8 then add("body", "#{@terms[4]} #{@figures + 1} #{pick(@verbs)} #{pick(@tails)}. #{running}")
      when 9 then add("body", "#{sentence.delete_suffix(".")}:")
      end
      add("body", running) if chance?(0.8)
    end

    def figure
      @figures += 1
      add("caption", "#{@terms[4]} #{@figures}. #{pick(@heads)}")
    end

    def table
      add("caption", "#{@terms[5]} #{@figures + 1}: #{pick(@heads)}")
      6.times do |n|
        add("table_text", (n < 3) ? pick(@heads) : "#{@dice.rand(90)} #{pick(@tails)}", part: :table,
          lead: (n < 3) ? :all_bold : nil)
      end
    end

    def references
      add("heading_1", heading_text(@terms[3]))
      10.times do |n|
        add("reference_entry", "#{pick(%w[Aldermoor Brack Cullen Dunmere])}, #{pick(%w[A B C])}. (#{1900 +
          n}). #{pick(@heads)}. Ravelmouth: Quay Press.")
      end
    end
  end

  module_function

  # [Document, {paragraph id => role}]: one style, all by hand, with noise.
  def document(language, name, seed)
    scheme = SCHEMES.fetch(name)
    dice = Random.new(seed + 1)
    truth = {}
    list = []
    put = lambda do |role, part, direct, runs|
      list << Norvel::Document::Paragraph.new(list.size + 1, part, 1, nil, Norvel::Styles::PropertySet.of(direct),
        Norvel::Styles::PropertySet::EMPTY, runs, nil, nil, nil)
      truth[list.size] = role
    end
    Text.new(language, scheme, seed).paragraphs.each do |role, text, part, lead|
      paragraph, run = scheme.fetch(role.to_sym) do
        (role == "reference_entry") ? [{indent_left: 36.0, first_line: -36.0}, scheme[:body][1]] : scheme[:body]
      end
      run = run.except(:caps)
      run = run.merge(size: run[:size] + 0.5) if dice.rand < 0.03
      paragraph = paragraph.merge(indent_left: paragraph[:indent_left] + 0.85) if paragraph[:indent_left] &&
        dice.rand < 0.2
      put.call("blank", :body, {}, []) if part == :body &&
        dice.rand < ((role.start_with?("heading") || role == "title") ? 0.5 : 0.2)
      text = "\t#{text}" if role == "body" && dice.rand < 0.1
      put.call(role, part, paragraph, runs(text, run, lead))
    end
    [bare.with(paragraphs: list.freeze), truth]
  end

  def runs(text, run, lead)
    make = ->(piece, values) { Norvel::Document::Run.new(piece, nil, Norvel::Styles::PropertySet.of(values), nil) }
    return [make.call(text, run.merge(bold: true))] if lead == :all_bold
    return [make.call(text, run)] unless lead == :bold_begin
    head, rest = text.split(" ", 3).then { |words| ["#{words[0]} #{words[1]} ", words[2]] }
    [make.call(head, run.merge(bold: true)), make.call(rest, run)]
  end

  def bare
    @bare ||= Norvel::Formats.read(Demo::Package.new(body: "", styles: Documents::NORMAL).bytes, name: "flattened.docx")
  end
end
