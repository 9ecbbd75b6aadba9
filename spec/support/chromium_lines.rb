# frozen_string_literal: true

# Where Chromium ends the lines of texts: the outside that our lines are held against. One CSS pixel stands for a point.
module ChromiumLines
  FONTS = File.expand_path("../../public/fonts", __dir__)
  PLAIN = "font-kerning:none;font-variant-ligatures:none;font-feature-settings:'kern' 0,'liga' 0,'clig' 0;" \
          "text-rendering:geometricPrecision;hyphens:none"
  ENDS = <<~JS
    const done = arguments[0];
    document.fonts.ready.then(() => done([...document.querySelectorAll("p")].map((p) => {
      const node = p.firstChild, text = node.data, ends = [], range = document.createRange();
      let top = null;
      for (let i = 0; i < text.length; i++) {
        if (/\\s/.test(text[i])) continue;
        range.setStart(node, i); range.setEnd(node, i + 1);
        const now = Math.round(range.getClientRects()[0]?.top ?? top);
        if (top !== null && now > top + 2) ends.push(i);
        top = Math.max(now, top ?? now);
      }
      return ends;
    })));
  JS

  # [[places where lines after the first begin], …] of each text. face: the file of a font; beside: a box in CSS that
  # floats before them
  def chromium_ends(texts, face:, size:, measure:, beside: nil)
    path = File.join(Dir.mktmpdir, "lines.html")
    rows = %(<div style="#{beside}"></div>) + texts.map { |text| "<p>#{CGI.escapeHTML(text)}</p>" }.join
    File.write(path, <<~HTML)
      <meta charset="utf-8"><style>@font-face{font-family:F;src:url("file://#{FONTS}/#{face}")}
      p{font:#{size}px/20px F;#{PLAIN};width:#{measure}px;margin:0 0 20px;white-space:normal}</style><body lang="en" style="width:#{measure}px">#{rows}
    HTML
    page = Capybara.current_session
    page.visit "file://#{path}"
    page.evaluate_async_script(ENDS)
  end

  # The same where Chromium is told that a line may end after a slash between letters, as UAX #14 has it (LB 13, 29) and
  # Chromium has not.
  def chromium_ends_after_slashes(texts, **set)
    told = texts.map { |text| text.gsub(%r{/(?=[[:alpha:]])}, "/\u200B") }
    chromium_ends(told, **set).zip(told).map do |ends, text|
      ends.map { |place| place - text[0, place].count("\u200B") }
    end
  end

  # The same of ours. look: of the letters
  def our_ends(texts, look, measure)
    letters = Norvel::Layout::Letters.new(look)
    texts.map do |text|
      copy = Norvel::Layout::SetItems.new(letters)
      copy.words(text, letters)
      lines = Norvel::Layout::LineBreaker.new(copy.finish, [0.0, measure], [0.0, measure]).lines
      lines.drop(1).map { |line| copy.starts[line.from] }
    end
  end

  def letters_look(font, size, **more)
    Norvel::Styles::Look.new({font:, size: size.to_f, bold: false, italic: false, position: "normal",
                              letter_spacing: 0.0,
                              caps: false, small_caps: false}.merge(more))
  end
end
