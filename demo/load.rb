# frozen_string_literal: true

# Prepares the database, and puts the demo documents and a guide on an empty shelf that never had them.
require_relative "../app/boot"
require_relative "build"

ActiveRecord::Base.logger = nil
ActiveRecord::Migration.verbose = false
ActiveRecord::MigrationContext.new(File.expand_path("../db/migrate", __dir__)).migrate
ActiveRecord::Base.connection.execute("PRAGMA journal_mode = WAL")
# of this database, whichever it is
sign = "#{File.expand_path(ActiveRecord::Base.connection_db_config.database, File.join(__dir__, ".."))}.demo-loaded"
exit if File.exist?(sign)
Demo::DOCUMENTS.each do |filename, guide, kind|
  next if Manuscript.exists?(filename:) || LooseText.exists?(filename:)
  bytes = kind.new.bytes
  next LooseText.bring_in(bytes, filename:) if LooseText.markup?(bytes, filename)
  Manuscript.bring_in(bytes, filename:, guide:)
end
# A guide made of a template, to be read and changed.
unless SavedGuide.exists?
  template = SavedTemplate.document_of("ship:ravelmouth-report")
  SavedGuide.keep(Norvel::Guide::Derived.new(template).text, origin: "the template Ravelmouth report")
end
# A template with front matter, for texts to be put in.
unless SavedTemplate.kept_whole.exists?
  SavedTemplate.keep(Demo::HouseTemplate.new.bytes, "#{Demo::HouseTemplate::NAME}.docx")
end
File.write(sign, "")
