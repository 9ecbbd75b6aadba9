# frozen_string_literal: true

require "open3"

# A sheet as Chromium draws it and a page of a PDF as poppler does (pdftoppm), at two pixels a point, and how far they
# agree.
module PageRasters
  SCALE = 2
  # All that is drawn for work and not on paper goes; the sheet alone stands, without a surround.
  ALONE = <<~JS
    const svg = document.querySelector(".sheetsize"), paper = svg.querySelector(".sheetpaper");
    const [wide, tall] = [paper.getAttribute("width"), paper.getAttribute("height")].map(Number);
    for (const one of svg.querySelectorAll(".sheetdims, .sheetdim, .edge, .whyended, .leftover, .baselines, title"))
      one.remove();
    for (const one of svg.querySelectorAll(".around")) one.style.fill = "black";
    svg.setAttribute("viewBox", `0 0 ${wide} ${tall}`);
    svg.style.cssText = `position:absolute;left:0;top:0;width:${wide * arguments[0]}px;height:${tall * arguments[0]}px;` +
      "max-width:none;max-height:none;background:white;--color-ink:black;--color-paper:white";
    paper.style.cssText = "fill:white;stroke:none";
    document.body.replaceChildren(svg);
    document.body.style.cssText = "position:static;overflow:visible;margin:0;background:white";
    return [Math.round(wide * arguments[0]), Math.round(tall * arguments[0])];
  JS
  # The part of pixels whose darkness is within a quarter of black, each with its neighbours as far as a point, since
  # the two smooth letters otherwise; the same of dark ones alone; how many these are.
  COMPARE = <<~JS
    const [one, other, done] = arguments;
    const pixels = async (data) => {
      const image = new Image(); image.src = "data:image/png;base64," + data; await image.decode();
      const canvas = new OffscreenCanvas(image.width, image.height), pen = canvas.getContext("2d");
      pen.fillStyle = "white"; pen.fillRect(0, 0, image.width, image.height); pen.drawImage(image, 0, 0);
      const all = pen.getImageData(0, 0, image.width, image.height).data, grey = new Float32Array(all.length / 4);
      for (let i = 0; i < grey.length; i++) grey[i] = (all[4 * i] + all[4 * i + 1] + all[4 * i + 2]) / 3;
      return { grey, wide: image.width, tall: image.height };
    };
    Promise.all([pixels(one), pixels(other)]).then(([a, b]) => {
      const wide = Math.min(a.wide, b.wide), tall = Math.min(a.tall, b.tall);
      const mean = (map, x, y) => {
        let sum = 0;
        for (let dy = -2; dy <= 2; dy++) for (let dx = -2; dx <= 2; dx++) sum += map.grey[(y + dy) * map.wide + x + dx];
        return sum / 25;
      };
      let within = 0, dark = 0, darkWithin = 0, count = 0;
      for (let y = 2; y < tall - 2; y++) for (let x = 2; x < wide - 2; x++) {
        const [p, q] = [mean(a, x, y), mean(b, x, y)], near = Math.abs(p - q) <= 64;
        count++; within += near;
        if (Math.min(p, q) < 200) { dark++; darkWithin += near; }
      }
      done([within / count, darkWithin / Math.max(dark, 1), dark / count]);
    });
  JS

  def sheet_raster(address)
    visit address
    expect(page).to have_css(".sheetsize")
    page.evaluate_async_script("document.fonts.ready.then(() => arguments[0]())")
    width, height = page.execute_script("return (() => { #{ALONE.gsub("arguments[0]", SCALE.to_s)} })()")
    sleep 0.3
    clip = {x: 0, y: 0, width:, height:, scale: 1}
    page.driver.browser.execute_cdp("Page.captureScreenshot", format: "png", clip:, captureBeyondViewport: true)["data"]
  end

  def page_raster(path, number)
    out, = Open3.capture2("pdftoppm", "-r", (72 * SCALE).to_s, "-f", number.to_s, "-l", number.to_s, "-png", path,
      binmode: true)
    [out].pack("m0")
  end

  # [part of pixels that agree, part of dark ones, part that is dark]
  def agreement(one, other)
    page.evaluate_async_script(COMPARE, one, other)
  end
end
