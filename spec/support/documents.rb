# frozen_string_literal: true

# Small documents made of WordprocessingML by hand.
module Documents
  include Demo::Markup

  NORMAL = %(<w:style w:type="paragraph" w:default="1" w:styleId="Normal"><w:name w:val="Normal"/></w:style>)

  def package(body, styles: "", defaults: "", **parts)
    Demo::Package.new(body:, styles: "#{defaults}#{NORMAL unless styles.include?('w:default="1"')}#{styles}", **parts)
      .bytes
  end

  # A Document with this body.
  def docx(body, **parts)
    Norvel::Formats.read(package(body, **parts), name: "made.docx")
  end

  # The bytes of a .docx with extra parts or changed ones, by name.
  def repackage(bytes, changed)
    Norvel::Formats::Archive.write(Norvel::Formats::Container.new(bytes), changed)
  end

  # The bytes with these lists in them, as WordprocessingML.
  def with_lists(bytes, numbering)
    name = "word/_rels/document.xml.rels"
    rels = part(bytes, name).sub("</Relationships>",
      %(<Relationship Id="rId9" Type="#{Demo::Package::R}/numbering" Target="numbering.xml"/></Relationships>))
    repackage(bytes, name => rels,
      "word/numbering.xml" => %(<w:numbering xmlns:w="#{Demo::Package::W}">#{numbering}</w:numbering>))
  end

  def part(bytes, name)
    Norvel::Formats::Container.new(bytes).read(name)
  end

  # The bytes of its file, as they are.
  def written(document)
    Norvel::Formats[document.format].writer.call(document).bytes
  end

  def reread(document)
    Norvel::Formats.read(written(document), name: document.name)
  end

  # What a guide asks of a property.
  def asked(name, value)
    Norvel::Guide::Requirement.of(Norvel::Styles::Properties[name], value)
  end

  def set(**values)
    Norvel::Styles::PropertySet.of(values)
  end

  def thesis
    @@thesis ||= Norvel::Formats.read(Demo::Thesis.new.bytes, name: "thesis.docx")
  end

  def thesis_guide
    Norvel::Guide.find("ravelmouth-thesis")
  end
end
