# frozen_string_literal: true

# Images of kinds that a browser does not draw, made into ones that it does, apart from the requests: what is broken or
# boundless in them ends with the process that read it.
module Pictures
  HELPERS = Helpers.new(most: 1, waiting: 16)
  KEPT = Norvel::Recent.new(40)
  KNOWN = Norvel::Recent.new(2_000) # {digest of an image => could it be made?}
  PATIENCE = 8 # seconds
  ASKED = %i[tiff svg].freeze # kinds

  module_function

  # Can it be made into one?
  def drawn?(bytes)
    return false unless ASKED.include?(Norvel::Raster.kind(bytes))
    KNOWN.fetch(Digest::SHA256.digest(bytes)) { !made(bytes).nil? }
  rescue Helpers::Busy # asked again when it is seen again
    false
  end

  # The bytes of a PNG; nil for what is of no such kind, or can't be made into one.
  def png(bytes)
    made(bytes) if ASKED.include?(Norvel::Raster.kind(bytes))
  rescue Helpers::Busy
    nil
  end

  def made(bytes)
    KEPT.fetch(Digest::SHA256.digest(bytes)) { HELPERS.ask(:picture, bytes, within: PATIENCE) }
  rescue Helper::Overdue, Helper::Exhausted # it is the image's fault: nobody waits for it twice
    KEPT.put(Digest::SHA256.digest(bytes), nil)
  end
  private_class_method :made
end
