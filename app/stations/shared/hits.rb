# frozen_string_literal: true

# Places of the text that a form looks for.
module Hits
  # As the form asks. Raises Norvel::Refused.
  def search
    @search ||= Norvel::Survey::Search.new(params[:q], exact: params[:exact] == "1", words: params[:words] == "1",
      style: sent_word(:style), look: sent_word(:look), apart: params[:apart] == "1")
  end

  # Norvel::Survey::Search::Hit of them all.
  def hits
    @hits ||= search.hits(document)
  end

  private

  def sent_word(name)
    params[name].to_s.empty? ? nil : params[name].to_s
  end
end
