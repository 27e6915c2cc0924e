document.title="x"
