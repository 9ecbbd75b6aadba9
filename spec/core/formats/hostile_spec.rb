# frozen_string_literal: true

# Files that do harm or are none: each a clear sentence, in bounded time and memory, with nothing of this machine in it.
RSpec.describe Norvel::Formats::Container do
  def reading(bytes)
    Norvel::Formats.read(bytes, name: "x.docx")
  end

  def zip(entries)
    Zip.write_zip64_support = false
    Zip::OutputStream.write_buffer { |out|
      entries.each { |name, content|
        out.put_next_entry(name) &&
          out.write(content)
      }
    }.string
  end

  let(:good) { package(p(r("x"))) }

  def with_document(xml)
    repackage(good, "word/document.xml" => xml)
  end

  {
    "nothing at all" => -> { "" },
    "not a zip" => -> { "hello, this is text" },
    "a picture" => -> { Demo::Picture.png },
    "rich text" => -> { "{\\rtf1 hello}" },
    "a PDF" => -> { "%PDF-1.7\n" },
    "a web page" => -> { "<!DOCTYPE html><html></html>" },
    "an empty archive" => -> { "PK\x05\x06".b + ("\0" * 18) },
    "an old binary file" => -> { "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".b + ("\0" * 600) },
    "a protected file" => -> {
      "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".b + ("\0" * 600) +
        "EncryptedPackage".encode("UTF-16LE").b
    },
    "a truncated file" => -> { good[0, good.size / 2] },
    "a file cut in its directory" => -> { good[0, good.size - 30] },
    "flipped bytes" => -> { good.dup.tap { |b| b.setbyte(90, b.getbyte(90) ^ 255) } },
    "an archive without a document" => -> { zip({"a.txt" => "a"}) },
    "a missing main part" => -> {
      zip({"[Content_Types].xml" => part(good, "[Content_Types].xml"),
        "_rels/.rels" => part(good, "_rels/.rels")})
    },
    "a spreadsheet" => -> {
      repackage(good, "[Content_Types].xml" => part(good, "[Content_Types].xml")
        .sub("wordprocessingml.document.main", "spreadsheetml.sheet.main"))
    },
    "XML that is not well-formed" => -> { with_document("<w:document><w:body>") },
    "no body" => -> { with_document(%(<w:document xmlns:w="#{Demo::Package::W}"/>)) },
    "an empty part" => -> { with_document("") },
    "entities that grow" => -> {
      with_document(%(<!DOCTYPE x [<!ENTITY a "aaaaaaaaaa"><!ENTITY b ) +
        %("&a;&a;&a;&a;&a;&a;&a;&a;">]><w:document xmlns:w="#{Demo::Package::W}"><w:body><w:p><w:r><w:t>&b;</w:t>) +
        %(</w:r>) +
        %(</w:p></w:body></w:document>))
    },
    "entities that read files" => -> {
      with_document(%(<!DOCTYPE x [<!ENTITY a SYSTEM "file:///etc/hostname">]>) +
        %(<w:document xmlns:w="#{Demo::Package::W}"><w:body><w:p><w:r><w:t>&a;</w:t></w:r></w:p></w:body></w:document>))
    },
    "elements nested without end" => -> {
      with_document(%(<w:document xmlns:w="#{Demo::Package::W}">) +
        %(<w:body>#{"<w:sdt>" * 5000}#{"</w:sdt>" * 5000}</w:body></w:document>))
    },
    "millions of elements" => -> {
      with_document(%(<w:document xmlns:w="#{Demo::Package::W}">) +
        %(<w:body>#{"<w:p/>" * 5_000_000}</w:body></w:document>))
    },
    "a part of 70 MB" => -> {
      with_document(%(<w:document xmlns:w="#{Demo::Package::W}">) +
        %(<w:body>#{"<w:p/>" * 12_000_000}</w:body></w:document>))
    },
    "a bomb of zeros" => -> {
      repackage(good, "word/media/a.bin" => "\0" * 40_000_000,
        "word/styles.xml" => " " * 40_000_000)
    },
    "paths that climb" => -> { zip({"../../etc/passwd" => "x", "[Content_Types].xml" => "<x/>"}) },
    "a backslash" => -> { zip({"a\\b.xml" => "x", "[Content_Types].xml" => "<x/>"}) },
    "names that differ by case" => -> { zip({"word/a.xml" => "x", "word/A.xml" => "y"}) },
    "ten thousand entries" => -> { zip((1..5100).to_h { |n| ["f#{n}", "x"] }) }
  }.each do |name, make|
    it "refuses #{name}" do
      bytes = instance_exec(&make)
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      expect { reading(bytes) }
        .to raise_error(Norvel::UnreadableFile) { |error|
              expect(error.message)
                .to match(/\A[A-Z“].*[.)]\z/).and(satisfy { |m| !m.match?(%r{/(work|tmp|usr|home)/}) })
            }
      expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - began).to be < 10
    end
  end

  it "reads circular styles, absurd numbers and unknown words without harm" do
    bytes = package(p(r("x", '<w:sz w:val="99999999999999999999"/><w:color w:val="nonsense"/>'),
      '<w:pStyle w:val="A"/><w:spacing w:line="-99999999999" w:before="abc"/><w:jc w:val="sideways"/><w:outlineLvl ' \
      'w:val="77"/>'), styles: style("A", "A", based_on: "B") + style("B", "B", based_on: "A"))
    document = reading(bytes)
    expect(document.look(document.paragraphs[0]).values.values_at(:align, :space_before, :outline_level))
      .to eq ["left", 0.0, 0]
  end

  it "does not take a lying size for true" do
    lying = good.dup
    lying[lying.index("PK\x01\x02".b) + 24, 4] = [10].pack("V")
    text = begin
      reading(lying).paragraphs.map(&:text)
    rescue Norvel::UnreadableFile => error
      error.message
    end
    expect(text).to eq(["x"]).or match(/damaged/)
  end
end
