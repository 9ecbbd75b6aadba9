# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Styles of a .docx that takes in the text of another: one of a name that both have is that of the first, the
      # others are added. Lists that styles have go with them.
      class JoiningStyles
        REFERRING = %w[basedOn next link].freeze

        # base, text: Readers with their elements; part: the styles part of the first
        def initialize(base, text, part)
          @base, @text, @part = base, text, part
          @from = text.package.related("styles")
        end

        # {style id of the text => that here}
        def ids
          @ids ||= begin
            taken = ours.by_id.keys.map(&:downcase)
            theirs.by_id.to_h do |id, style|
              own = partner(style)
              next [id, own.id] if own
              fresh = [id].chain((1..).lazy.map { |n| "#{id}#{n}" }).find { |one| !taken.include?(one.downcase) }
              taken << fresh.downcase
              [id, fresh]
            end
          end
        end

        # {list id of the text => that here} of lists that the styles of both have.
        def lists
          theirs.by_id.values.filter_map { |style|
            list, own = [style, partner(style)].map { |one| one&.paragraph&.[](:list_id) }
            [list.to_s, own.to_s] if list && own
          }.to_h
        end

        # What paragraphs of the text without a style are in here, nil where that is the usual one.
        def unsaid
          default = theirs.default or return
          id = ids[default.id]
          id unless id == ours.default&.id
        end

        # Adds the elements of styles that the first does not have. Returns them.
        def add
          theirs.by_id.values.reject { |style| partner(style) }.map do |style|
            node = @text.style_nodes[style.source].dup
            told(node, style)
            @part.root.add_child(node)
          end
        end

        private

        def ours
          @base.style_sheet
        end

        def theirs
          @text.style_sheet
        end

        def partner(style)
          ours.named(style.name, style.type) || (style.default ? ours.default(style.type) : nil)
        end

        def told(node, style)
          @from.set(node, "styleId", ids[style.id])
          @from.unset(node, "default")
          REFERRING.each do |name|
            child = @from.child(node, name) or next
            id = ids[@from.attr(child, "val")]
            id ? @from.set(child, "val", id) : child.remove
          end
          with_defaults(node) if style.paragraph? && style.based_on.nil?
        end

        # What the text's file says of all text, its own root styles say here.
        def with_defaults(node)
          defaults = @from.child(@from.root, "docDefaults") or return
          {"pPr" => "pPrDefault", "rPr" => "rPrDefault"}.each do |name, holder|
            said = @from.child(defaults, holder)&.then { |one| @from.child(one, name) } or next
            own = @from.place(node, name)
            said.element_children.each { |child| @from.insert(own, child.dup) unless @from.child(own, child.name) }
          end
        end
      end
    end
  end
end
