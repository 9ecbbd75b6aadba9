# frozen_string_literal: true

module Norvel
  module Edits
    # Puts paragraphs in the styles of the roles they play, as one change.
    class PutInRoles < Edit
      # The name of the style for a role: the guide's; else the usual one, or the one that this document's author made
      # for it; nil for roles that have none (contents entries, others).
      def self.style_name(role, guide, document)
        asked = guide.role(role)["style"] and return asked
        usual = Survey::Roles::ALL[role]&.style or return
        return usual if document.styles.called(usual)
        own(role, document)&.name || usual
      end

      # The style that most paragraphs are in of those that are called so; a file's base style is for no role.
      def self.own(role, document)
        styles = document.styles.by_id.each_value.select do |style|
          style.paragraph? && !style.default && Survey::StyleRoles.by_itself(document.styles, style) == role
        end
        styles.max_by { |style| [document.uses[style.id], style.hidden ? 0 : 1] }
      end
      private_class_method :own

      # roles: {"heading_1" => [ids], …}; looks: {"heading_1" => :theirs}, of those that give their style their look
      def initialize(roles, guide, hand: :goes, looks: {}, pattern: Pattern.new(guide:))
        @roles = roles
        @guide = guide
        @hand = hand
        @looks = looks
        @pattern = pattern
      end

      def change(document)
        raise Refused, "No kind of paragraph is chosen." if @roles.empty?
        @roles.inject(document) { |now, (role, ids)| put(now, role, ids).change(now) }
      end

      def title(document)
        return put(document, *@roles.first).title(document) if @roles.size == 1
        "Put #{count(@roles.values.sum(&:size))} in the styles of #{@roles.size} kinds"
      end

      def details(document)
        return [] if @roles.size == 1
        @roles.map do |role, ids|
          put = put(document, role, ids)
          put.title(document).tap { document = put.change(document) }
        end
      end

      private

      def put(document, role, ids)
        name = self.class.style_name(role, @guide, document) or
          raise Refused, "There is no style for the kind “#{Survey::Roles.words(role)}”."
        PutInStyle.new(ids, name, role:, hand: @hand, look: @looks.fetch(role, :style), pattern: @pattern)
      end
    end
  end
end
