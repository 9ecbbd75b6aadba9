# frozen_string_literal: true

require "yaml"

module Norvel
  class Guide
    # A guide read aloud: every rule as a sentence, by topic, with its place in the text and the rules that check it.
    class Sentences
      # topic: of TOPICS; words: a sentence; place: keys and numbers that lead to the value in the guide's data; value:
      # what stands there; rules: names, or patterns, of the rules that it states; cite: its clause or nil
      Sentence = Value.define(:topic, :words, :place, :value, :rules, :cite, rules: [].freeze)
      TOPICS = {
        page: "Page", text: "Text", headings: "Headings", quotations: "Quotations", captions: "Captions and tables",
        lists: "Lists", notes: "Notes", parts: "Parts and length", numbers: "Page numbers and heads",
        clean: "Cleanliness", accessible: "Accessibility", consistent: "Agreement with itself",
        exceptions: "Exceptions"
      }.freeze
      OF_ROLE = {"quote" => :quotations, "caption" => :captions, "table_text" => :captions,
                 "list_item" => :lists}.freeze
      GROUPS = {"headings" => :headings, "captions" => :captions, "tables" => :captions, "lists" => :lists,
                "clean" => :clean, "accessible" => :accessible, "fonts" => :text, "notes" => :notes}.freeze
      OF_PARTS = %w[parts.missing parts.order parts.length language.part].freeze
      OF_CONTENTS = (OF_PARTS + %w[contents.missing contents.stale contents.levels]).freeze
      MEMBERS = %w[cite tolerance].freeze # of groups, no rules of their own

      # {a switch of `clean`, `accessible`, …: what is forbidden or required}
      SWITCHES = YAML.safe_load_file(File.join(__dir__, "sentences.yml")).freeze

      # The topic of what stands at a place of a guide.
      def self.topic(place)
        case place
        in ["roles", role, *] then topic_of(role)
        in ["tables", "text", *] then topic_of("table_text")
        in ["page", *] then :page
        in ["parts" | "count", *] then :parts
        in ["pagination" | "running", *] then :numbers
        in ["consistent" | "exceptions", *] then place.first.to_sym
        else GROUPS.fetch(place.first, :text)
        end
      end

      # The topic that the rules about a role stand under.
      def self.topic_of(role)
        return :headings if role.start_with?("heading_")
        (role == "note") ? :notes : OF_ROLE.fetch(role, :text)
      end

      def initialize(guide)
        @guide = guide
        @data = guide.data
      end

      # [Sentence, …] in the order of TOPICS, each topic in the order of the guide.
      def all
        @all ||= [*page, *roles, *groups, *parts, *matters, *running, *count, *exceptions]
          .sort_by.with_index { |one, index| [TOPICS.keys.index(one.topic), index] }
      end

      # {topic => [Sentence, …]} of the topics that the guide speaks of.
      def by_topic
        all.group_by(&:topic)
      end

      private

      def sentence(topic, place, words, rules: [], cite: nil)
        text = words.strip
        text = "#{text[0].upcase}#{text[1..]}"
        Sentence.new(topic:, words: text.end_with?(".") ? text : "#{text}.", place:, value: @data.dig(*place),
          rules: Array(rules), cite: cite&.to_s)
      end

      def page
        own = @guide.page
        margins = (own["margins"] || {}).except("tolerance").map do |side, asked|
          sentence(:page, ["page", "margins", side], "the #{side} margin is #{spoken(asked)}",
            rules: "page.margin.#{Rules::PageRules::SIDES.fetch(side)}", cite: own["cite"])
        end
        whole = [("size" if own["size"]), ("orientation" if own["orientation"])].compact.map do |key|
          words = (key == "size") ? "sheets are #{paper(own["size"])}" : "sheets are #{orientation(own[key])}"
          sentence(:page, ["page", key], words, rules: "page.#{key}", cite: own["cite"])
        end
        whole + margins
      end

      def paper(size)
        size.is_a?(Hash) ? size.values_at("width", "height").map { |side| plain(side) }.join(" × ") : size
      end

      def orientation(asked)
        asked.is_a?(Hash) ? "portrait, landscape for #{asked["landscape_for"]}" : asked
      end

      # --- kinds of paragraphs ---

      def roles
        stated = (@data["roles"] || {}).map { |role, asked| [["roles", role], role, asked] }
        stated << [%w[tables text], "table_text", @data.dig("tables", "text")] if @data.dig("tables", "text")
        stated << [["notes"], "note", @data["notes"].except("number_format")] if @data["notes"]
        stated.flat_map { |place, role, asked| role(place, role, asked) }
      end

      def role(place, role, asked)
        topic = self.class.topic_of(role)
        asked.except(*MEMBERS).map do |key, value|
          rules = rules_of_role(role, key)
          sentence(topic, [*place, key], of_role(role, key, value), cite: asked["cite"], rules:)
        end
      end

      # Where a style for headings is named, what looks like one is to be in it.
      def rules_of_role(role, key)
        return [] if key == "from_words"
        marked = key == "style" && role.start_with?("heading_")
        [Rules::RoleRules.name_of(role, key), *("headings.unmarked" if marked)]
      end

      def of_role(role, key, value)
        kind = Survey::Roles.words(role)
        case key
        when "style" then "#{kind} is in the style #{value}"
        when "from_words" then "a #{kind} has #{value} words or more"
        when "case" then "#{kind} has #{either(value) { |one| Survey::LetterCase::WORDS.fetch(one.to_sym) }}"
        when "ending_punctuation" then "no full stop, colon or comma ends a #{kind}"
        when "paragraph_break" then breaks(value)
        when "emphasis" then emphasis(kind, value)
        else property(kind, key, value)
        end
      end

      def breaks(value)
        ways = either(value) { |one| (one == "space") ? "space" : "a first-line indent" }
        "paragraphs are told apart by #{ways}, the same everywhere"
      end

      def emphasis(kind, value)
        words = value.filter_map do |key, kinds|
          said = kinds.map { |one| Rules::EmphasisRules::WORDS.fetch(one) }.join(", ")
          "#{(key == "allow") ? "may be" : "are never"} #{said}" unless kinds.empty?
        end
        words = ["are not set apart"] if words.empty?
        "words of #{kind} #{words.join(", and ")}"
      end

      def property(kind, key, value)
        property = Styles::Properties[key]
        return "#{property.label} is #{either(value) { |one| one ? "on" : "off" }} for #{kind}" if property.flag?
        "#{property.label} of #{kind} is #{Requirement.of(property, value).as_stated}"
      end

      # --- groups of switches ---

      def groups
        stated = GROUPS.flat_map { |group, topic| group(group, topic) }
        stated + pagination + consistent
      end

      def group(name, topic)
        own = @data[name] || {}
        keys = own.keys - MEMBERS - ((name == "tables") ? ["text"] : [])
        keys &= ["number_format"] if name == "notes"
        keys.map do |key|
          sentence(topic, [name, key], switch(name, key, own[key]), rules: rules_of(name, key), cite: own["cite"])
        end
      end

      def pagination
        own = @guide.pagination
        (own.keys - MEMBERS - ["matters"]).map do |key|
          sentence(:numbers, ["pagination", key], switch("pagination", key, own[key]),
            rules: rules_of("pagination", key), cite: own["cite"])
        end
      end

      # "No blank paragraph stands for space." of a word that forbids or weighs; "… is allowed" of one that allows.
      def switch(group, key, value)
        words = SWITCHES.dig(group, key) or return "#{key.tr("_", " ")}: #{plain(value)}"
        return "#{words["noun"] || key.tr("_", " ")}: allowed" if value == "allow"
        format(words["says"], plain(value))
      end

      # The rules of a switch, by where a guide switches them on; else by their name.
      def rules_of(group, key)
        found = Rules::ALL.flat_map { |family| family::RULES }.select { |rule| rule.switch == [group, key] }.map(&:name)
        found.empty? ? SWITCHES.dig(group, key, "rules") || [] : found
      end

      def consistent
        own = @data["consistent"] or return []
        whole = "the document agrees with itself in everything"
        return [sentence(:consistent, ["consistent"], whole, rules: "consistent.*")] unless own.is_a?(Hash)
        own.map do |key, value|
          words = "#{key.tr("_", " ")} #{(value == "allow") ? "may differ" : "agree"}"
          sentence(:consistent, ["consistent", key], words, rules: "consistent.#{key}")
        end
      end

      # --- the document as a whole ---

      def parts
        @guide.parts.each_with_index.map do |part, index|
          sentence(:parts, ["parts", index], part_words(part), cite: part["cite"],
            rules: (part["part"] == "contents") ? OF_CONTENTS : OF_PARTS)
        end
      end

      def part_words(part)
        name = (part["part"] == "contents") ? "contents list" : part["part"].tr("_", " ")
        be = (name.end_with?("s") && !name.start_with?("list")) ? "are" : "is"
        needs = "#{be} there" if part["required"]
        needs = "#{be} there if there are #{part["required_if"]}" if part["required_if"]
        more = [("at most #{part["max_words"]} words" if part["max_words"]),
          ("at least #{part["min_words"]} words" if part["min_words"]),
          ("down to level #{part["levels"]}" if part["levels"]),
          ("in the language #{part["language"]}" if part["language"])].compact
        ["the #{name} #{needs || "#{(be == "are") ? "stand" : "stands"} here in the order"}", *more].join(", ")
      end

      def matters
        @guide.matters.each_with_index.map do |matter, index|
          said = [("numbered #{Rules::MatterRules::FORMS.fetch(matter["label"])}" if matter["label"]),
            ("from #{matter["restart"]} on" if matter["restart"]),
            ("shown from its page #{matter["shown_from"]}" if matter["shown_from"]),
            ("at #{matter["place"].tr("_", " ")}" if matter["place"])].compact
          sentence(:numbers, ["pagination", "matters", index], "#{matter["matter"]} matter is #{said.join(", ")}",
            rules: %w[label restart shown_from place].map { |name| "pagination.#{name}" },
            cite: @guide.pagination["cite"])
        end
      end

      def running
        own = @data["running"] || {}
        %w[head foot].select { |key| own[key] }.map do |key|
          sides = own[key].map { |side, words| "“#{words}” at #{side}" }
          from = (own["from"] == "body") ? ", from the body on" : ""
          sentence(:numbers, ["running", key], "the running #{key} has #{sides.join(", ")}#{from}",
            rules: "running.*", cite: own["cite"])
        end
      end

      def count
        own = @data["count"] || {}
        (own.keys - MEMBERS).map do |key|
          left = own[key].is_a?(Hash) && own[key]["without"]
          more = left ? " without #{left.map { |name| name.tr("_", " ") }.join(" and ")}" : ""
          bounds = own[key].is_a?(Hash) ? own[key].except("without") : own[key]
          sentence(:parts, ["count", key], "the document has #{spoken(bounds)} #{key}#{more}", rules: "count.#{key}",
            cite: own["cite"])
        end
      end

      def exceptions
        @guide.exceptions.each_with_index.map do |one, index|
          where = (one["where"] || {}).map { |kind, name| "of the #{kind} “#{name}”" }.join(" ")
          signed = [one["by"], one["on"]].compact.join(", ")
          words = "#{one["rule"]} #{where} is not asked: #{one["because"]}"
          words = "#{words} (#{signed})" unless signed.empty?
          sentence(:exceptions, ["exceptions", index], words, rules: one["rule"])
        end
      end

      # --- values in words ---

      LENGTH = /\A(-?\d+(?:\.\d+)?)(mm|cm|in|pt|pc)\z/

      def spoken(asked)
        return plain(asked) unless asked.is_a?(Hash)
        return either(asked) { |one| plain(one) } if asked["any_of"]
        least, most = asked.values_at("min", "max").map { |one| one && plain(one) }
        return "#{least} to #{most}" if least && most
        least ? "at least #{least}" : "at most #{most}"
      end

      def either(value)
        list = value.is_a?(Hash) ? value["any_of"] : [value]
        list.map { |one| yield(one) }.join(" or ")
      end

      def plain(value)
        case value
        when Hash then (value.key?("min") || value.key?("max") || value.key?("any_of")) ? spoken(value) : mapped(value)
        when Array then value.join(", ")
        else value.to_s.sub(LENGTH, "\\1 \\2")
        end
      end

      def mapped(value)
        value.map { |key, inside| "#{key.to_s.tr("_", " ")} #{plain(inside)}" }.join("; ")
      end
    end
  end
end
