# frozen_string_literal: true

# The galley: the whole text, where paragraphs get their styles. Only the blocks near the place asked for are sent; the
# others are asked for as they come near.
module GalleyRoutes
  NEAR = 1 # blocks sent before and after the one asked for
  # Ways to put paragraphs in a style so that they, or the style, look as they do now.
  WAYS = {"looks" => :keep, "takes" => :style_takes}.freeze
  FEW = 60 # touched paragraphs that are answered row by row

  def self.registered(app)
    app.get("/manuscripts/:id/galley") do
      near(whole(:at))
      @picked = picked(params[:pick].to_s)
      station :galley
    end

    # The text alone, around a paragraph.
    app.get("/manuscripts/:id/galley/text") do
      near(whole(:at))
      partial(:galley_text, first: @sent.begin, last: @sent.end) +
        partial(:fresh_looks, paragraphs: blocks[@sent].to_a.flatten)
    end

    app.get("/manuscripts/:id/galley/blocks/:number") do
      number = whole(:number)
      paragraphs = (blocks[number] if number.between?(0, blocks.size)) or halt 404
      partial(:block, number:, paragraphs:) + partial(:fresh_looks, paragraphs:)
    end

    app.get("/manuscripts/:id/survey_looks.css") do
      content_type "text/css"
      look_rules(survey.looks.map(&:example))
    end

    # The looks of the blocks that a page is drawn with.
    app.get("/manuscripts/:id/looks.css") do
      first, last = params[:blocks].to_s.split("-", 2).map { |number| number.to_i.clamp(0, blocks.size) }
      content_type "text/css"
      look_rules(blocks[(first || 0)..(last || 0)].to_a.flatten)
    end

    app.post("/manuscripts/:id/galley/bench") do
      partial(:bench, ids: chosen_ids)
    end

    # Paragraphs like one: in its style, or of its look.
    app.get("/manuscripts/:id/galley/like") do
      paragraph = document.paragraph(whole(:paragraph))
      like = case params[:by]
      when "style" then ->(other) { document.style_of(other).equal?(document.style_of(paragraph)) }
      when "role" then ->(other) { document.suggestions.role(other.id) == document.suggestions.role(paragraph.id) }
      when "section" then section_from(paragraph)
      else ->(other) {
             document.look(other) == document.look(paragraph) &&
               document.letter_look(other) == document.letter_look(paragraph)
           }
      end
      content_type :json
      document.working.select { |other| !other.blank? && like[other] }.map(&:id).to_json
    end

    # Paragraphs that hold a text, or match a pattern between slashes.
    app.get("/manuscripts/:id/galley/find") do
      content_type :json
      matching(params[:q].to_s).to_json
    end

    app.post("/manuscripts/:id/letters") do
      set_letter(params[:style].to_s, params[:letter])
      redirect to(path_to("galley")), 303
    end

    app.post("/manuscripts/:id/edits/style") do
      perform style_edit
    end

    app.post("/manuscripts/:id/edits/clear") do
      properties = params[:property].to_s.empty? ? nil : [params[:property].to_sym]
      raise Norvel::Refused, "There is no property of that name." if properties &&
        !Norvel::Styles::Properties.key?(properties.first)
      perform Norvel::Edits::ClearDirect.new(chosen_ids, properties:, keep_emphasis: params[:keep] == "emphasis")
    end

    app.post("/manuscripts/:id/edits/value") { perform Norvel::Edits::SetValue.new(chosen_ids, *typed_value) }

    # What a person says that paragraphs are.
    app.post("/manuscripts/:id/edits/decide") do
      perform Norvel::Edits::Decide.new(chosen_ids, params[:said].to_s.empty? ? nil : params[:said])
    end

    # What a style would give paragraphs that they don't have.
    app.post("/manuscripts/:id/galley/differences") { partial(:put_differences, differences: put_differences) }

    app.post("/manuscripts/:id/edits/list") { perform list_edit }
    app.post("/manuscripts/:id/edits/restart") do
      perform Norvel::Edits::StartList.new(one_id, again: params[:again] == "1")
    end

    app.post("/manuscripts/:id/take_back") do
      before = document
      entries = manuscript.take_back(version: params[:version], to: (whole(:entry) if params[:entry]))
      raise Norvel::Refused, "There is nothing to take back: the document is as it came." if entries.empty?
      @document = nil
      what = (entries.size == 1) ? entries.first.title : "the last #{entries.size} changes"
      answer(before, "Taken back: #{what}", [])
    end

    app.get("/manuscripts/:id/ledger") do
      station :ledger
    end

    app.get("/manuscripts/:id/spine") { partial(:spine) }
    app.get("/manuscripts/:id/standing") { partial(:standing) }

    app.helpers do
      # Sets the paragraph to stand at and the blocks to send.
      def near(id)
        @at = document.include?(id) ? id : nearest(id)
        middle = @at ? block_of(@at) : 0
        @sent = [middle - NEAR, 0].max..[middle + NEAR, blocks.size - 1].min
      end

      # The paragraph that stands where one has gone.
      def nearest(id)
        ((document.paragraphs.find { |one| one.id > id } if id.positive?) || document.paragraphs.first)&.id
      end

      # Everything from here to the next heading of the same level or a higher one.
      def section_from(paragraph)
        start = document.text_position(paragraph.id)
        level = document.suggestions[paragraph.id].level || 6
        rest = document.paragraphs.drop(start + 1)
        inside = rest.take_while { |other| (found = document.suggestions[other.id].level).nil? || found > level }
        ids = [paragraph, *inside].to_h { |other| [other.id, true] }
        ->(other) { ids[other.id] }
      end

      def matching(sought)
        return [] if sought.strip.empty?
        pattern = sought[%r{\A/(.+)/\z}, 1]
        test = pattern ? Regexp.new(pattern[0, 300]) : Regexp.new(Regexp.escape(sought), Regexp::IGNORECASE)
        Timeout.timeout(2) { document.working.select { |paragraph| test.match?(paragraph.text.strip) }.map(&:id) }
      rescue RegexpError => error
        raise Norvel::Refused, "The pattern can't be read: #{error.message.split(":").first}."
      rescue Timeout::Error
        raise Norvel::Refused, "The pattern takes too long on this text: make it simpler."
      end

      # Paragraphs that another station points at: [what they are, their ids], or nil.
      def picked(pick)
        kind, key = pick.split(":", 2)
        label, list = case kind
        when "finding" then (group = manuscript.check.groups.find { |g| g.key == key }) &&
          [group.first.message, group.paragraphs]
        when "look" then (group = survey.looks.find { |g| g.key == key }) &&
          ["Look #{group.letter}", group.paragraphs.map(&:id)]
        when "style" then (style = document.sheet[key]) && ["In #{style.name}", wearers(style).map(&:id)]
        when "setby" then (style = document.sheet[key]) &&
          ["In #{style.name}, with values of their own", departing(wearers(style)).values.flatten.map(&:id).uniq]
        when "hand" then (job = SurveyView::JOBS[key.to_s.to_sym]) && [job, survey.by_hand[key.to_sym].map(&:id)]
        when "miss" then (miss = survey.near_misses.misses.find { |m| miss_key(m) == key }) &&
          ["#{miss.property.label} #{miss.property.spoken(miss.odd, unit)}", miss.paragraphs.map(&:id)]
        end
        [label, list] if list&.any?
      end

      # A style by its id, or the style that the guide names for a role.
      def style_edit
        clear = {"all" => :all, "emphasis" => :emphasis_kept}.fetch(params[:clear], :nothing)
        way = WAYS[params[:clear]]
        if way && (style = document.sheet[params[:style].to_s])
          return Norvel::Edits::PutInStyle.new(chosen_ids, style.name, way:)
        end
        return Norvel::Edits::AssignStyle.new(chosen_ids, params[:style].to_s, clear:) unless params[:role]
        raise Norvel::Refused, "There is no such role." unless Norvel::Guide::ROLES.include?(params[:role])
        Norvel::Edits::PutInRoles.new({params[:role] => chosen_ids}, manuscript.rules, clear:)
      end

      def put_differences
        style = document.sheet[params[:style].to_s]
        return [] if style.nil? || !style.paragraph? || chosen_ids.empty?
        Norvel::Edits::PutInStyle.new(chosen_ids, style.name).differences(document)
      end

      # Into a list that is there, out of lists, or into one that is made now.
      def list_edit
        level = params[:level].to_s.empty? ? nil : whole(:level) - 1
        unless ListView::READY.key?(params[:list])
          return Norvel::Edits::PutInList.new(chosen_ids, whole(:list), level:)
        end
        define = Norvel::Edits::DefineListStyle.new(params[:list], ListView::READY[params[:list]])
        list_id = define.change(document).sheet.named(params[:list]).paragraph[:list_id]
        put = Norvel::Edits::PutInList.new(chosen_ids, list_id, level:)
        Norvel::Edits::Several.new([define, put],
          title: "Put #{counted(chosen_ids.size, "paragraph")} in #{params[:list]}")
      end

      def perform(edit)
        before = document
        change = manuscript.perform(edit, version: params[:version])
        @document = nil
        answer(before, change.title, chosen_ids)
      end

      # What changed, in place for htmx; for a plain form, the page it came from.
      def answer(before, said, selected)
        return go_after(said, back_to) unless request.env["HTTP_HX_REQUEST"]
        touched = touched_rows(before)
        headers "HX-Trigger" => {"document-changed" => {version: manuscript.lock_version},
                                 **(touched ? {} : {"galley-stale" => {}})}.to_json
        partial(:answer, said:, touched: touched || [], selected:)
      end

      # The rows to send, nil when the galley has to be drawn anew: rows came or went, or there are too many.
      def touched_rows(before)
        return if before.working.size != document.working.size
        styles = !before.sheet.equal?(document.sheet)
        was = before.working
        touched = document.working.each_with_index.reject do |paragraph, index|
          paragraph.equal?(was[index]) && !styles &&
            before.markers[paragraph.id] == document.markers[paragraph.id]
        end
        return if touched.size > FEW
        shown = params[:loaded].to_s.split(",").to_h { |number| [number.to_i, true] }
        touched.select { |_, index| shown[index / GalleyRow::BLOCK] }.map(&:first)
      end

      def back_to
        place = params[:back].to_s
        return place if place.match?(%r{\A/manuscripts/#{manuscript.id}/[[:graph:]]*\z})
        path_to("galley", at: chosen_ids.first || whole(:at))
      end
    end
  end
end
