# frozen_string_literal: true

# Plain pages of one document, +manuscript+ in the examples, and the forms on them, as a browser without scripts sends
# them.
module PageForms
  def self.included(group)
    group.include Rack::Test::Methods
  end

  def app = Web

  def at = "/manuscripts/#{manuscript.id}"

  def now = Manuscript.find(manuscript.id)

  def page = last_response.body

  def send_form(path, headers = {}, **fields)
    get "/"
    token = page[/name="authenticity_token" value="([^"]+)"/, 1]
    post "#{at}/#{path}", {authenticity_token: token, version: now.lock_version, **fields}, headers
  end
end
