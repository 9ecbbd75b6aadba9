# frozen_string_literal: true

# Images of kinds that a browser does not draw, made into ones that it does, apart from the requests: what is broken or
# boundless in them ends with the process that read it.
module Pictures
  HELPERS = Helpers.new(most: 1, waiting: 16)
  KEPT = Norvel::Recent.new(40)
  PATIENCE = 8 # seconds
  ASKED = %i[tiff svg].freeze # kinds

  module_function

  # The bytes of a PNG; nil for what is of no such kind, or can't be made into one.
  def png(bytes)
    return unless ASKED.include?(Norvel::Raster.kind(bytes))
    KEPT.fetch(Digest::SHA256.digest(bytes)) { HELPERS.ask(:picture, bytes, within: PATIENCE) }
  rescue Norvel::Error
    nil
  end
end
