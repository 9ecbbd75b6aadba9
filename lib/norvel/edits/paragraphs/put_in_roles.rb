# frozen_string_literal: true

module Norvel
  module Edits
    # Puts paragraphs in the styles of the roles they play, as one change. A style that is missing or that nothing wears
    # takes the look that most of them have, with the guide's values on top.
    class PutInRoles < Edit
      # The style for a role: the guide's, or the usual one; nil for roles that have none (contents entries, others).
      def self.style_name(role, guide)
        guide.role(role)["style"] || Roles::ALL[role]&.style
      end

      # roles: {"heading_1" => [ids], …}; clear: as for AssignStyle; :nothing lets them look as they do now
      def initialize(roles, guide, clear: :nothing)
        @roles = roles
        @guide = guide
        @clear = clear
      end

      def change(document)
        raise Refused, "No role is chosen." if @roles.empty?
        @roles.inject(document) { |now, (role, ids)| put(now, role, ids) }
      end

      def title(_document)
        return put_words(*@roles.first) if @roles.size == 1
        "Put #{count(@roles.values.sum(&:size))} in the styles of #{@roles.size} roles"
      end

      def details(_document)
        (@roles.size == 1) ? [] : @roles.map { |role, ids| put_words(role, ids) }
      end

      private

      def put_words(role, ids)
        "Put #{count(ids.size)} in #{self.class.style_name(role, @guide)}"
      end

      def put(document, role, ids)
        name = self.class.style_name(role, @guide) or raise Refused, "There is no style for #{Roles.words(role)}."
        put = PutInStyle.new(ids, name, asked: @guide.requirements(role), role:, way: :hold)
          .change(document)
        return put if @clear == :nothing
        AssignStyle.new(ids, put.sheet.called(name).id, clear: @clear).change(put)
      end
    end
  end
end
