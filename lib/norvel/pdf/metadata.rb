# frozen_string_literal: true

require "cgi"

module Norvel
  module Pdf
    # What a file says of itself as XMP (ISO 16684-1), the same as its information dictionary says.
    class Metadata
      SPACES = {"dc" => "http://purl.org/dc/elements/1.1/", "pdf" => "http://ns.adobe.com/pdf/1.3/",
                "xmp" => "http://ns.adobe.com/xap/1.0/", "pdfaid" => "http://www.aiim.org/pdfa/ns/id/",
                "pdfuaid" => "http://www.aiim.org/pdfua/ns/id/"}.freeze
      # A property that PDF/A does not know has to be described where a file is both (ISO 19005-2 6.6.2.3).
      EXTENSION = <<~XML.delete("\n").freeze
        <pdfaExtension:schemas xmlns:pdfaExtension="http://www.aiim.org/pdfa/ns/extension/"
         xmlns:pdfaSchema="http://www.aiim.org/pdfa/ns/schema#"
         xmlns:pdfaProperty="http://www.aiim.org/pdfa/ns/property#"><rdf:Bag><rdf:li rdf:parseType="Resource">
        <pdfaSchema:schema>PDF/UA identification</pdfaSchema:schema>
        <pdfaSchema:namespaceURI>http://www.aiim.org/pdfua/ns/id/</pdfaSchema:namespaceURI>
        <pdfaSchema:prefix>pdfuaid</pdfaSchema:prefix>
        <pdfaSchema:property><rdf:Seq><rdf:li rdf:parseType="Resource"><pdfaProperty:name>part</pdfaProperty:name>
        <pdfaProperty:valueType>Integer</pdfaProperty:valueType><pdfaProperty:category>internal</pdfaProperty:category>
        <pdfaProperty:description>the part of ISO 14289 that is met</pdfaProperty:description></rdf:li></rdf:Seq>
        </pdfaSchema:property></rdf:li></rdf:Bag></pdfaExtension:schemas>
      XML

      UNWRITABLE = "\u0000-\u0008\u000B\u000C\u000E-\u001F" # letters that no XML holds (XML 1.0, 2.2)

      # info: the information dictionary; language: a tag; accessible: does it say that it is PDF/UA-1; archive: that it
      # is PDF/A-2u?
      def initialize(info, language, accessible: false, archive: false)
        @info = info.transform_values { |text| CGI.escapeHTML(text.to_s.delete(UNWRITABLE)) }
        @language = CGI.escapeHTML(language)
        @accessible = accessible
        @archive = archive
      end

      # The XMP packet.
      def xml
        spaces = SPACES.map { |prefix, uri| %( xmlns:#{prefix}="#{uri}") }.join
        <<~XMP.b
          <?xpacket begin="\uFEFF" id="W5M0MpCehiHzreSzNTczkc9d"?>
          <x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
          <rdf:Description rdf:about=""#{spaces}>
          #{[*said, *claims].join("\n")}
          </rdf:Description></rdf:RDF></x:xmpmeta>
          <?xpacket end="w"?>
        XMP
      end

      private

      def said
        ["<dc:title>#{alternative(@info[:Title])}</dc:title>",
          "<dc:language><rdf:Bag><rdf:li>#{@language}</rdf:li></rdf:Bag></dc:language>",
          *(@info[:Author] && "<dc:creator><rdf:Seq><rdf:li>#{@info[:Author]}</rdf:li></rdf:Seq></dc:creator>"),
          *(@info[:Subject] && "<dc:description>#{alternative(@info[:Subject])}</dc:description>"),
          *(@info[:Keywords] && "<pdf:Keywords>#{@info[:Keywords]}</pdf:Keywords>"),
          "<xmp:CreatorTool>#{@info[:Creator]}</xmp:CreatorTool>", "<pdf:Producer>#{@info[:Producer]}</pdf:Producer>"]
      end

      def alternative(text)
        %(<rdf:Alt><rdf:li xml:lang="x-default">#{text}</rdf:li></rdf:Alt>)
      end

      def claims
        [("<pdfuaid:part>1</pdfuaid:part>" if @accessible),
          ("<pdfaid:part>2</pdfaid:part><pdfaid:conformance>U</pdfaid:conformance>" if @archive),
          (EXTENSION if @accessible && @archive)].compact
      end
    end
  end
end
