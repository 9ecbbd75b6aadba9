# frozen_string_literal: true

# A file as it came. Never changed.
class Original < ActiveRecord::Base
  has_many :manuscripts

  def self.keep(bytes)
    create!(bytes:, digest: Digest::SHA256.hexdigest(bytes))
  end
end
