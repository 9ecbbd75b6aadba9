# frozen_string_literal: true

# Places of a text that is looked for.
module Hits
  # Every place of a text, or of a pattern between slashes: [[id, the words, which time they stand there], …]
  def hits(sought)
    return [] if sought.strip.empty?
    pattern = sought[%r{\A/(.+)/\z}, 1]
    test = pattern ? Regexp.new(pattern[0, 300]) : Regexp.new(Regexp.escape(sought), Regexp::IGNORECASE)
    Timeout.timeout(2) { document.working.flat_map { |paragraph| hits_in(paragraph, test) } }
  rescue RegexpError => error
    raise Norvel::Refused, "The pattern can't be read: #{error.message.split(":").first}."
  rescue Timeout::Error
    raise Norvel::Refused, "The pattern takes too long on this text: make it simpler."
  end

  def hits_in(paragraph, test)
    text, found = paragraph.text.strip, []
    text.scan(test) { found << Regexp.last_match }
    found.reject { |match| match[0].empty? }.map do |match|
      [paragraph.id, match[0], text[0...match.begin(0)].scan(match[0]).size]
    end
  end
end
