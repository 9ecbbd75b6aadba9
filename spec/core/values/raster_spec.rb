# frozen_string_literal: true

RSpec.describe Norvel::Raster do
  # Two dots, red and green. Source: TIFF 6.0 (Adobe 1992), section 6: an uncompressed RGB image of one strip.
  def tiff(order = "<")
    entry = ->(tag, type, count, value) {
      short = type == 3 && count == 1
      form = (short ? "SSLSS" : "SSLL").gsub(/./) { |one| "#{one}#{order}" }
      [tag, type, count, *(short ? [value, 0] : [value])].pack(form)
    }
    entries = [[256, 3, 1, 2], [257, 3, 1, 1], [258, 3, 3, 134], [259, 3, 1, 1], [262, 3, 1, 2], [273, 4, 1, 140],
      [277, 3, 1, 3], [278, 3, 1, 1], [279, 4, 1, 6], [284, 3, 1, 1]].map { |values| entry.call(*values) }
    head = ((order == "<") ? "II" : "MM") + [42, 8].pack("S#{order}L#{order}")
    head.b + [10].pack("S#{order}") + entries.join + [0].pack("L#{order}") + [8, 8, 8].pack("S#{order}3") +
      "\xFF\x00\x00\x00\x80\x00".b
  end

  def dots(png)
    image = Vips::Image.new_from_buffer(png, "")
    [image.width, image.height, (0...image.width).map { |x| image.getpoint(x, 0).first(3).map(&:to_i) }]
  end

  it "reads TIFF in either order of bytes" do
    ["<", ">"].each do |order|
      expect(described_class.kind(tiff(order))).to eq :tiff
      expect(dots(described_class.png(tiff(order)))).to eq [2, 1, [[255, 0, 0], [0, 128, 0]]]
    end
  end

  # Source: GIF89a specification; these 43 bytes are the usual image of one dot, here black.
  it "reads GIF, WebP and what is described in SVG" do
    gif = ["47494638396101000100800000000000ffffff21f90400000000002c00000000010001000002024401003b"].pack("H*")
    expect(dots(described_class.png(gif))).to eq [1, 1, [[0, 0, 0]]]
    webp = Vips::Image.new_from_buffer(described_class.png(tiff), "").write_to_buffer(".webp", lossless: true)
    expect([described_class.kind(webp), dots(described_class.png(webp))])
      .to eq [:webp, [2, 1, [[255, 0, 0], [0, 128, 0]]]]
    svg = %(<?xml version="1.0"?><!-- a mill --><svg xmlns="http://www.w3.org/2000/svg" width="2" height="1">) +
      %(<rect width="2" height="1" fill="#ff0000"/></svg>)
    wide, high, row = dots(described_class.png(svg))
    expect([wide / high, row.uniq]).to eq [2, [[255, 0, 0]]]
  end

  it "leaves all else, what is broken and what is boundless alone" do
    boundless = tiff.sub([256, 3, 1, 2].pack("S<S<L<S<"), [256, 3, 1, 60_000].pack("S<S<L<S<"))
      .sub([257, 3, 1, 1].pack("S<S<L<S<"), [257, 3, 1, 60_000].pack("S<S<L<S<"))
    others = ["", "\x89PNG\r\n\x1A\n".b, "\xFF\xD8\xFF".b, "<html><svg/></html>", "II*\0", tiff[0, 60], boundless,
      "<!DOCTYPE svg [<!ENTITY a \"aaaa\">]><svg xmlns=\"http://www.w3.org/2000/svg\"/>", "GIF89a", "RIFF0000WEBP"]
    expect(others.map { |bytes| described_class.png(bytes.b) }.uniq).to eq [nil]
  end
end
