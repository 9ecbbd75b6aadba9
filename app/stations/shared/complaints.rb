# frozen_string_literal: true

# What is said when something can't be done: a fragment for htmx, a page for everybody else; both in words that stay.
module Complaints
  # page: :stuck shows a document that can't be shown with what can still be done with it
  def complain(status, message, page: :error)
    status status
    return erb(:_complaint, layout: false, locals: {message:}) if request.env["HTTP_HX_REQUEST"]
    (page == :stuck && @manuscript&.persisted?) ? stuck_page(message) : page_of_error(message)
  end

  def page_of_error(message)
    @title = "Something is not right"
    erb :error, locals: {message:}
  end

  # The document's ledger, the way back and the file as it came: all that needs no reading of the document.
  def stuck_page(message)
    @title = "#{@manuscript.title}, not shown"
    erb :stuck, locals: {message:, entries: @manuscript.reload.ledger_entries.reverse_order.to_a}
  rescue => error
    page_of_error("#{message} #{Trouble.sentence(error) if error.is_a?(ActiveRecord::ActiveRecordError)}".strip)
  end

  # The session that drew the page is over. What was typed is kept: a form holds it, with a token of now.
  def lost_page(message = nil)
    return erb(:_complaint, layout: false, locals: {message: message || LOST}) if request.env["HTTP_HX_REQUEST"]
    @title = "Once more, please"
    erb :lost, locals: {message: message || KEPT, fields: kept_fields(params)}
  end

  KEPT = "The page was open for longer than its session, so nothing was done yet."
  LOST = "This page was open for longer than its session, so nothing was done yet. Load the page anew and do it once " \
    "more."

  # [[name, text], …] of what a form sent, but for files.
  def kept_fields(params)
    params.except("authenticity_token", "splat").flat_map do |name, value|
      case value
      when String then [[name, value]]
      when Array then value.map { |item| ["#{name}[]", item] }
      when Hash then value[:tempfile] ? [] : value.map { |key, item| ["#{name}[#{key}]", item] }
      else []
      end
    end
  end

  def error_sentence
    env["sinatra.error"].message
  end

  # Does a browser say that another site's page sends this?
  def foreign?
    return true if env["norvel.foreign"]
    !%w[GET HEAD].include?(request.request_method) && ![nil, "same-origin", "none"].include?(env["HTTP_SEC_FETCH_SITE"])
  end
end
