# frozen_string_literal: true

module Norvel
  module CLI
    # Puts one value into the styles that the paragraphs of some roles wear.
    class Set < Command
      USAGE = "set FILE --value PROPERTY=VALUE --on ROLE,ROLE --output OUT [--json]"

      private

      def options(parser)
        json_option(parser)
        output_option(parser)
        parser.on("--value PROPERTY=VALUE", "as line_spacing=double") { |pair| @options[:value] = pair }
        parser.on("--on ROLES", Array, "roles, headings, text or everything") { |roles| @options[:on] = roles }
        parser.on("--but ROLES", Array, "roles that are left out") { |roles| @options[:but] = roles }
      end

      def perform
        path = positional(1)
        output = required(:output)
        property, value = pair
        roles = named(:on, required(:on))
        Formats.for_path(output)
        before = read(path)
        ids = Edits::SetValue.chosen(before, roles, but: named(:but, @options[:but] || []))
        raise Refused, "nothing in the file is #{roles.map { |role| role.tr("_", " ") }.join(" or ")}" if ids.empty?
        edit = Edits::SetValue.new(ids, property.name, value)
        change = edit.apply(before)
        write(change.after, output)
        tell(edit, before, change.after, ids)
        0
      end

      def pair
        name, value = required(:value).split("=", 2)
        found = name && Styles::Properties.from_json(name.tr("-", "_").to_sym)
        found ||= Styles::Properties[name] if name && Styles::Properties.key?(name)
        raise Refused, "there is no property “#{name}”" unless found&.shown?
        raise Refused, "--value needs a value: #{name}=…" if value.to_s.empty?
        [found, found.type.typed(value)]
      end

      def named(option, roles)
        known = Norvel::Survey::Roles::ALL.keys + Edits::SetValue::KINDS.keys
        stranger = roles.find { |role| !known.include?(role) }
        raise Refused, "--#{option}: there is no role “#{stranger}”: it is one of #{known.join(", ")}" if stranger
        roles
      end

      def tell(edit, before, after, ids)
        styles = edit.styles(before)
        unless @options[:json]
          said = styles.empty? ? "no style" : styles.join(", ")
          return @out.puts "#{edit.title(before)}: changed #{said}; #{after.word_count} words, unchanged"
        end
        was, now = Seal.of(before), Seal.of(after)
        @out.puts JSON.generate(paragraphs: ids.size, styles:, words_unchanged: was.same_words?(now),
          text_digest_before: "sha256:#{was.words}", text_digest_after: "sha256:#{now.words}")
      end
    end
  end
end
