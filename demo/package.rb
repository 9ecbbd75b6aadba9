# frozen_string_literal: true

require "zip"
require "zlib"

module Demo
  # The least that makes a .docx, for documents whose body is written by hand as WordprocessingML.
  class Package
    W = "http://schemas.openxmlformats.org/wordprocessingml/2006/main"
    R = "http://schemas.openxmlformats.org/officeDocument/2006/relationships"
    TYPE = "application/vnd.openxmlformats-officedocument.wordprocessingml."
    HEAD = %(<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n)

    def initialize(body:, styles:, footnotes: nil, footer: nil, image: nil, title: nil)
      @body, @styles, @footnotes, @footer, @image, @title = body, styles, footnotes, footer, image, title
    end

    def bytes
      Zip.write_zip64_support = false
      Zip::OutputStream.write_buffer do |zip|
        parts.each do |name, content|
          zip.put_next_entry(Zip::Entry.new(nil, name, time: Zip::DOSTime.local(1980, 1, 1))) && zip.write(content)
        end
      end.string
    end

    private

    def parts
      {
        "[Content_Types].xml" => content_types, "_rels/.rels" => package_rels, "word/_rels/document.xml.rels" => rels,
        "word/document.xml" => %(#{HEAD}<w:document xmlns:w="#{W}" xmlns:r="#{R}" ) +
          %(xmlns:wp="http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing" ) +
          %(xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" ) +
          %(xmlns:pic="http://schemas.openxmlformats.org/drawingml/2006/picture"><w:body>#{@body}</w:body>) +
          %(</w:document>),
        "word/styles.xml" => %(#{HEAD}<w:styles xmlns:w="#{W}">#{@styles}</w:styles>),
        "word/footnotes.xml" => @footnotes &&
          %(#{HEAD}<w:footnotes xmlns:w="#{W}"><w:footnote w:type="separator" w:id="-1"><w:p><w:r><w:separator/>) +
            %(</w:r></w:p></w:footnote><w:footnote w:type="continuationSeparator" w:id="0"><w:p><w:r>) +
            %(<w:continuationSeparator/></w:r></w:p></w:footnote>#{@footnotes}</w:footnotes>),
        "word/footer1.xml" => @footer && %(#{HEAD}<w:ftr xmlns:w="#{W}">#{@footer}</w:ftr>),
        "word/media/image1.png" => @image,
        "docProps/core.xml" => @title &&
          %(#{HEAD}<cp:coreProperties ) +
            %(xmlns:cp="http://schemas.openxmlformats.org/package/2006/metadata/core-properties" ) +
            %(xmlns:dc="http://purl.org/dc/elements/1.1/"><dc:title>#{@title}</dc:title></cp:coreProperties>)
      }.compact
    end

    def content_types
      overrides = {"document" => true, "styles" => true, "footnotes" => @footnotes, "footer" => @footer}
        .select { |_, there| there }.keys
      list = overrides.map do |name|
        %(<Override PartName="/word/#{(name == "footer") ? "footer1" : name}.xml" ) +
          %(ContentType="#{TYPE}#{(name == "document") ? "document.main" : name}+xml"/>)
      end
      if @title
        list << %(<Override PartName="/docProps/core.xml" ) +
          %(ContentType="application/vnd.openxmlformats-package.core-properties+xml"/>)
      end
      %(#{HEAD}<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ) +
        %(ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ) +
        %(ContentType="application/xml"/><Default Extension="png" ContentType="image/png"/>#{list.join}</Types>)
    end

    def package_rels
      core = @title ? %(<Relationship Id="rId2" ) +
        %(Type="http://schemas.openxmlformats.org/package/2006/relationships/metadata/core-properties" ) +
        %(Target="docProps/core.xml"/>) : ""
      %(#{HEAD}<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship ) +
        %(Id="rId1" Type="#{R}/officeDocument" Target="word/document.xml"/>#{core}</Relationships>)
    end

    def rels
      list = {"rId1" => ["styles", "styles.xml"], "rId2" => @footnotes && ["footnotes", "footnotes.xml"],
              "rId3" => @footer && ["footer", "footer1.xml"], "rId4" => @image && ["image", "media/image1.png"]}.compact
      %(#{HEAD}<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">#{list
        .map { |id, (kind, target)| %(<Relationship Id="#{id}" Type="#{R}/#{kind}" Target="#{target}"/>) }
        .join}</Relationships>)
    end
  end

  # A drawing of a tide curve, as a picture without words.
  module Picture
    module_function

    def png(width = 320, height = 120)
      rows = (0...height).map do |y|
        "\0".b + (0...width).map { |x| dot(x, y) }.join
      end.join
      "\x89PNG\r\n\x1a\n".b + chunk("IHDR", [width, height, 8, 2, 0, 0, 0].pack("NNC5")) +
        chunk("IDAT", Zlib.deflate(rows, 9)) + chunk("IEND", "")
    end

    def dot(x, y)
      return "\x1b\x66\xa8".b if ((Math.sin(x / 26.0) * 40) + 60 - y).abs < 2
      (y > 100) ? "\xc5\xcd\xd1".b : "\xff\xfd\xf8".b
    end

    def chunk(type, data)
      [data.bytesize].pack("N") + type + data + [Zlib.crc32(type + data)].pack("N")
    end
  end
end
