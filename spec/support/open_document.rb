# frozen_string_literal: true

# OpenDocument texts for tests: parts told as fragments of XML, packed as a file. Names with the usual prefixes.
class OpenDocument
  SPACES = Norvel::Formats::Odt::Names::SPACES.map { |prefix, uri| %(xmlns:#{prefix}="#{uri}") }.join(" ")
  HEAD = %(<?xml version="1.0" encoding="UTF-8"?>\n)
  TYPE = Norvel::Formats::Odt::TYPE
  LAYOUT = %(<style:page-layout style:name="pm1"><style:page-layout-properties fo:page-width="21cm" ) +
    %(fo:page-height="29.7cm" ) +
    %(fo:margin-top="2cm" fo:margin-bottom="2cm" fo:margin-left="3cm" fo:margin-right="2cm"/></style:page-layout>)
  MASTER = %(<style:master-page style:name="Standard" style:page-layout-name="pm1"/>)
  STANDARD = %(<style:default-style style:family="paragraph"><style:paragraph-properties ) +
    %(style:tab-stop-distance="1.25cm"/>) +
    %(<style:text-properties fo:font-size="12pt" style:font-name="Serif"/></style:default-style>) +
    %(<style:style style:name="Standard" style:family="paragraph"/>)

  # body: inside office:text; automatic: of the text; styles: common ones beside Standard; pages, masters: layouts and
  # master pages; files: others, {path => bytes}
  def initialize(body, automatic: "", styles: "", pages: LAYOUT, masters: MASTER, meta: "", files: {}, type: TYPE)
    @body, @automatic, @styles, @pages, @masters, @meta = body, automatic, styles, pages, masters, meta
    @files, @type = files, type
  end

  def bytes
    listed = ["content.xml", "styles.xml", "meta.xml", *@files.keys].map do |path|
      %(<manifest:file-entry manifest:full-path="#{path}" manifest:media-type=""/>)
    end
    manifest = %(#{HEAD}<manifest:manifest #{SPACES} manifest:version="1.2"><manifest:file-entry ) +
      %(manifest:full-path="/" ) +
      %(manifest:media-type="#{@type}"/>#{listed.join}</manifest:manifest>)
    Norvel::Formats::Archive.build({"content.xml" => content, "styles.xml" => styles, "meta.xml" => meta, **@files,
                                    "META-INF/manifest.xml" => manifest}, first: ["mimetype", @type])
  end

  # The same as one XML file.
  def flat
    %(#{HEAD}<office:document #{SPACES} office:version="1.2" office:mimetype="#{@type}">) +
      %(<office:meta>#{@meta}</office:meta>) +
      %(#{faces}<office:styles>#{STANDARD}#{@styles}</office:styles><office:automatic-styles>#{@pages}#{@automatic}) +
      %(</office:automatic-styles><office:master-styles>#{@masters}</office:master-styles><office:body><office:text>) +
      %(#{@body}</office:text></office:body></office:document>)
  end

  def document(name = "made.odt")
    Norvel::Formats.read(bytes, name:)
  end

  private

  def faces
    %(<office:font-face-decls><style:font-face style:name="Serif" svg:font-family="'Liberation Serif'"/>) +
      %(<style:font-face style:name="Sans" svg:font-family="'Liberation Sans'"/></office:font-face-decls>)
  end

  def content
    %(#{HEAD}<office:document-content #{SPACES} office:version="1.2">#{faces}<office:automatic-styles>#{@automatic}) +
      %(</office:automatic-styles><office:body><office:text>#{@body}</office:text></office:body>) +
      %(</office:document-content>)
  end

  def styles
    %(#{HEAD}<office:document-styles #{SPACES} office:version="1.2">#{faces}<office:styles>#{STANDARD}#{@styles}) +
      %(</office:styles><office:automatic-styles>#{@pages}</office:automatic-styles><office:master-styles>#{@masters}) +
      %(</office:master-styles></office:document-styles>)
  end

  def meta
    %(#{HEAD}<office:document-meta #{SPACES} office:version="1.2"><office:meta>#{@meta}</office:meta>) +
      %(</office:document-meta>)
  end
end
